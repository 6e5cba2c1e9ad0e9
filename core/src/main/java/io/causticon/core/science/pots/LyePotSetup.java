package io.causticon.core.science.pots;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.util.List;

/**
 * A lye pot and how it is fed.
 *
 * @param contents what goes in, with the temperatures at which it does
 * @param dissolved whether the lye is dissolved already in the liquid water, at {@code contents.waterStart()}, and only
 *     ice joins
 * @param feedMinutes over how long the lye goes in, evenly; zero for all at once
 * @param vessel what it stands in
 * @param vesselStart temperature of the vessel
 * @param room temperature of the room
 * @param baths when it stands in ice water, at 1 C, in minutes after the first lye; until infinity if it stays
 * @param losses whether it loses heat at all; without, the end is that of the balance
 */
record LyePotSetup(
        LyePot contents,
        boolean dissolved,
        double feedMinutes,
        PotVessel vessel,
        Temperature vesselStart,
        Temperature room,
        List<Interval> baths,
        boolean losses) {

    private static final Interval ALWAYS = Interval.between(0, Double.POSITIVE_INFINITY);

    public LyePotSetup {
        baths = List.copyOf(baths);
    }

    /**
     * A pot that stands in ice water all the time, or never.
     *
     * @param bath whether it does
     */
    public LyePotSetup(
            LyePot contents,
            boolean dissolved,
            double feedMinutes,
            PotVessel vessel,
            Temperature vesselStart,
            Temperature room,
            boolean bath,
            boolean losses) {
        this(contents, dissolved, feedMinutes, vessel, vesselStart, room, bath ? List.of(ALWAYS) : List.of(), losses);
    }

    /** Water and lye from the room's temperature, fed over some minutes into a plastic jug. */
    public static LyePotSetup usual(Mass naoh, Mass water, Temperature room, double feedMinutes) {
        return new LyePotSetup(
                LyePot.plain(naoh, water, room), false, feedMinutes, PotVessel.PLASTIC, room, room, false, true);
    }

    public LyePotSetup fedOver(double minutes) {
        return new LyePotSetup(contents, dissolved, minutes, vessel, vesselStart, room, baths, losses);
    }

    /** Whether it stands in ice water at this minute after the first lye. */
    public boolean isInBath(double minute) {
        // Asked at every step of a run.
        for (Interval bath : baths) {
            if (bath.low() <= minute && minute < bath.high()) {
                return true;
            }
        }
        return false;
    }

    /** In ice water at these times, in minutes after the first lye. */
    public LyePotSetup inBath(List<Interval> times) {
        return new LyePotSetup(contents, dissolved, feedMinutes, vessel, vesselStart, room, times, losses);
    }

    public LyePotSetup inBath(boolean other) {
        return new LyePotSetup(contents, dissolved, feedMinutes, vessel, vesselStart, room, other, losses);
    }
}
