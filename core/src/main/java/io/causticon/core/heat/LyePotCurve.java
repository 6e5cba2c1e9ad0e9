package io.causticon.core.heat;

import java.util.List;

/**
 * How a lye pot's temperature goes.
 *
 * @param temperatures C, one a frame from the moment the first lye goes in
 * @param ice g that is frozen, one a frame
 * @param concentrations lye in solution by mass of itself and the liquid water, a fraction, one a frame
 * @param frameSeconds seconds between them
 * @param peak highest temperature, C
 * @param peakMinute when
 * @param dissolvedMinute when all but a hundredth of the lye is dissolved; infinite if it never is
 * @param iceLeft g of ice at the end
 * @param undissolved g of lye that is not in solution at the end
 */
public record LyePotCurve(
        List<Double> temperatures,
        List<Double> ice,
        List<Double> concentrations,
        double frameSeconds,
        double peak,
        double peakMinute,
        double dissolvedMinute,
        double iceLeft,
        double undissolved) {

    public LyePotCurve {
        temperatures = List.copyOf(temperatures);
        ice = List.copyOf(ice);
        concentrations = List.copyOf(concentrations);
    }

    /** C at this minute, between frames in proportion; held at both ends. */
    public double celsiusAt(double minute) {
        return between(temperatures, minute);
    }

    /** g that is frozen at this minute. */
    public double iceGramsAt(double minute) {
        return between(ice, minute);
    }

    /** Lye in solution by mass of itself and the liquid water at this minute, a fraction. */
    public double concentrationAt(double minute) {
        return between(concentrations, minute);
    }

    private double between(List<Double> frames, double minute) {
        double place = Math.max(0, minute * 60 / frameSeconds);
        int before = Math.min((int) place, frames.size() - 1);
        int after = Math.min(before + 1, frames.size() - 1);
        double part = Math.min(1, place - before);
        return frames.get(before) * (1 - part) + frames.get(after) * part;
    }

    public double endMinute() {
        return temperatures.get(temperatures.size() - 1);
    }

    public double minutes() {
        return (temperatures.size() - 1) * frameSeconds / 60;
    }
}
