package io.causticon.web.places.plan;

import io.causticon.web.shared.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What follows from a plan, already worded.
 *
 * @param alkalis each alkali to weigh: its mass, its unit and its symbol
 * @param steps how the lye came about, a line each
 * @param figures the three figures of the liquid, by the way they are typed
 * @param liquids each part of the liquid with its mass and when it joins
 * @param firstStep the strong lye of a split liquid in words; empty when it is not split
 * @param fats what stands beside each fat of the form: share or mass, in the order of its rows; an empty one for an
 *     empty row
 * @param doses mass of each additive of the form, in the order of its rows
 * @param total all fats
 * @param superfat the superfat with its spread
 * @param excess probability of excess alkali
 * @param alarming whether that is too much
 * @param density the superfat's density
 * @param spectrum the fatty acids as one bar
 * @param composition the composition in words
 * @param traits how batter and bar will be
 * @param timeline what it will do
 * @param forecast whether the loaf could be reckoned
 * @param cook what cooking it takes, a line each; empty where nothing is cooked
 * @param mould the mould with its fill, null without one
 * @param mouldWords the mould in words, a line each
 * @param face the drawn layers, null when nothing is drawn
 * @param shares portions as one bar, null for drawn layers and undivided batches
 * @param portions what each portion takes
 * @param portionSum the portions together
 * @param jugs what goes into the jug of each part that is made by itself; empty for one batter
 * @param lyeLeads what the superfat is that follows from a mass of lye; empty where the superfat leads
 * @param liquidLeads that the concentration follows from masses of liquid; empty where it leads
 * @param allergens what labels must name, a line each
 * @param cost what it costs, a line each; empty when no price is known
 * @param bites what will bite
 */
record Reckoning(
        List<Amount> alkalis,
        List<Step> steps,
        List<Figure> figures,
        List<Amount> liquids,
        String firstStep,
        List<String> fats,
        List<String> doses,
        String total,
        String superfat,
        String excess,
        boolean alarming,
        Drawing density,
        Drawing spectrum,
        String composition,
        List<TraitWords> traits,
        Drawing timeline,
        boolean forecast,
        List<String> cook,
        @Nullable Drawing mould,
        List<String> mouldWords,
        @Nullable FaceLayout face,
        @Nullable Drawing shares,
        List<PortionWords> portions,
        @Nullable PortionSum portionSum,
        List<JugWords> jugs,
        String lyeLeads,
        String liquidLeads,
        List<String> allergens,
        List<String> cost,
        List<BiteWords> bites) {

    /** So much of something. */
    record Amount(String number, String unit, String what) {}

    /** A line of the account. */
    record Step(String words, String number) {}

    /**
     * One of the three figures of the liquid.
     *
     * @param number as it would be typed
     * @param typed whether it leads
     */
    record Figure(String way, String name, String value, String number, boolean typed) {}

    /** One thing that can be said of the bar. */
    record TraitWords(String name, String verdict, String reason, String change) {}

    /** What one portion takes; {@code number} is that of its layer in the drawing. */
    record PortionWords(
            int number,
            String name,
            String share,
            String batter,
            String bowlAfter,
            String fats,
            String lye,
            String own,
            String superfat,
            boolean hazard) {}

    /**
     * What goes into one jug.
     *
     * @param number of its layer in the drawing
     * @param name of the part
     * @param fats to pour, and what the pot then shows
     * @param pot what the pot then holds
     * @param lye each thing that its lye is made of, or what to pour of the one for all
     * @param jug what the jug of the lye for all then holds; empty where each has its own
     * @param inFats what is stirred into its fats
     * @param later what joins its batter
     * @param superfat its own superfat and lye concentration
     */
    record JugWords(
            int number,
            String name,
            String fats,
            String pot,
            List<String> lye,
            String jug,
            List<String> inFats,
            List<String> later,
            String superfat) {}

    /** All portions together. */
    record PortionSum(String share, String batter, String fats, String lye, String stuck) {}

    /** What will bite, with the changes that one tap makes. */
    record BiteWords(String title, String reason, String advice, List<Tap> changes, boolean dangerous) {}

    /** A change that one tap makes: its id, and what its button says. */
    record Tap(String id, String words) {}
}
