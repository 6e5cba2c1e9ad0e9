package io.causticon.web.places.trial;

import io.causticon.web.shared.Drawing;
import java.util.List;

/**
 * What a trial's page shows, already worded.
 *
 * @param arms what is compared
 * @param pots what is still to be made
 * @param others what else differs between arms and the control
 * @param fair what that does to the question
 * @param panels at each age: when, and who judged
 * @param water what it was judged in; empty before anybody judged
 * @param results a chart a scale
 * @param rows the same as a table
 * @param sentence what it comes to
 * @param changed what was not the same at two ages
 * @param worth what each arm takes beside what it gave
 */
record TrialPage(
        String id,
        String question,
        String factor,
        List<ArmWords> arms,
        List<Pot> pots,
        List<Other> others,
        String fair,
        List<Panel> panels,
        String water,
        List<Result> results,
        List<Row> rows,
        String sentence,
        List<String> changed,
        List<WorthWords> worth) {

    /**
     * One arm: its name, its batch, its age since the cut, why it is not washed with now; empty where it may be.
     * Waiting is no fault of it.
     */
    record ArmWords(
            String name,
            String href,
            String batch,
            String age,
            String needle,
            String kept,
            boolean waits,
            boolean control) {}

    /** What is begun together: its number, what it is, what goes in. */
    record Pot(int number, String arms, String what) {}

    /** How one arm differs: {@code asked}, {@code comes}, {@code spoils} or {@code hardly}. */
    record Other(String arm, List<Difference> differences) {}

    /** One difference. */
    record Difference(String words, String bearing) {}

    /** One panel: {@code comes}, {@code open}, {@code judged} or {@code missed}. */
    record Panel(String age, String when, String arms, String state, String judged) {}

    /** One scale. */
    record Result(String scale, Drawing chart) {}

    /** One effect. */
    record Row(String scale, String age, String arm, String difference, String interval, String chance, String more) {}

    /** One arm's price and gain, its index in the trial, and whether it may become the recipe. */
    record WorthWords(String words, int arm, String name, boolean isOffered) {}
}
