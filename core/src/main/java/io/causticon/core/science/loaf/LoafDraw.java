package io.causticon.core.science.loaf;

/**
 * What is kept of one run of an ensemble: the whole section of every frame would be some hundred times as much.
 *
 * @param peak highest temperature anywhere, C
 * @param gelShare share of the section that gelled, 0 to 1
 * @param convertedHour when nearly all was soap, h after pouring; the end of the run where it was not
 * @param frameSeconds from one frame to the next, s
 * @param core temperature in the middle at each frame, C
 */
record LoafDraw(double peak, double gelShare, double convertedHour, double frameSeconds, double[] core) {

    /** Temperature in the middle of the loaf, C, this many hours after pouring; held after the end. */
    double coreCelsiusAt(double hours) {
        return LoafHistory.between(hours, frameSeconds, core.length, i -> core[i]);
    }
}
