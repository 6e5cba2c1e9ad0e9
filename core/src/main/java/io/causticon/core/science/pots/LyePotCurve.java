package io.causticon.core.science.pots;

/** How a lye pot's temperature goes, from the moment the first lye goes in: a frame each few seconds. Immutable. */
public final class LyePotCurve {

    /** What is known of a pot at the end of its run. */
    record Ending(double peak, double peakMinute, double dissolvedMinute, double iceLeft, double undissolved) {}

    private final double[] temperatures;
    private final double[] ice;
    private final double[] concentrations;
    private final double frameSeconds;
    private final Ending ending;

    /** The arrays are this curve's from now on. */
    LyePotCurve(double[] temperatures, double[] ice, double[] concentrations, double frameSeconds, Ending ending) {
        this.temperatures = temperatures;
        this.ice = ice;
        this.concentrations = concentrations;
        this.frameSeconds = frameSeconds;
        this.ending = ending;
    }

    /** Highest temperature. */
    public double peakCelsius() {
        return ending.peak();
    }

    /** When that is. */
    public double peakMinute() {
        return ending.peakMinute();
    }

    /** When all but a hundredth of the lye is dissolved; infinite if it never is. */
    public double dissolvedMinute() {
        return ending.dissolvedMinute();
    }

    /** Ice at the end. */
    public double iceLeftGrams() {
        return ending.iceLeft();
    }

    /** Lye that is not in solution at the end. */
    public double undissolvedGrams() {
        return ending.undissolved();
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

    private double between(double[] frames, double minute) {
        double place = Math.max(0, minute * 60 / frameSeconds);
        int before = Math.min((int) place, frames.length - 1);
        int after = Math.min(before + 1, frames.length - 1);
        double part = Math.min(1, place - before);
        return frames[before] * (1 - part) + frames[after] * part;
    }

    /** C in the last frame. */
    public double endCelsius() {
        return temperatures[temperatures.length - 1];
    }

    public double minutes() {
        return (temperatures.length - 1) * frameSeconds / 60;
    }
}
