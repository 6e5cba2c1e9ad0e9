package io.causticon.web.plan;

import io.causticon.core.forecast.Bite;
import io.causticon.web.shared.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What follows from a plan, already worded.
 *
 * @param alkalis each alkali to weigh: its mass, its unit and its symbol
 * @param steps how the lye came about, a line each
 * @param figures the three figures of the liquid, by the way they are typed
 * @param liquids each part of the liquid with its mass
 * @param fats each fat's share in per cent and for its bar, in the order of the form's rows; an empty one for an empty row
 * @param total all fats
 * @param superfat the superfat with its spread
 * @param excess probability of excess alkali
 * @param alarming whether that is too much
 * @param density the superfat's density
 * @param spectrum the fatty acids as one bar
 * @param composition the composition in words
 * @param timeline what it will do
 * @param mould the mould with its fill, null without one
 * @param mouldWords the mould in words
 * @param bites what will bite
 */
record Reckoning(
        List<Amount> alkalis,
        List<Step> steps,
        List<Figure> figures,
        List<Amount> liquids,
        List<ShareOf> fats,
        String total,
        String superfat,
        String excess,
        boolean alarming,
        Drawing density,
        Drawing spectrum,
        String composition,
        Drawing timeline,
        @Nullable Drawing mould,
        String mouldWords,
        List<Bite> bites) {

    /** So much of something. */
    record Amount(String number, String unit, String what) {}

    /** A line of the account. */
    record Step(String words, String number) {}

    /** One of the three figures of the liquid. */
    record Figure(String way, String name, String value, boolean typed) {}

    /** A fat's share: in words, and as tenths of the width of its bar. */
    record ShareOf(String percent, int tenths) {}
}
