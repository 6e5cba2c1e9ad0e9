package io.causticon.web.shared;

/** Builds the path of a line or an area. */
public final class SvgPath {

    private final StringBuilder path = new StringBuilder();

    public SvgPath to(double x, double y) {
        path.append(path.isEmpty() ? "M" : "L")
                .append(coordinate(x))
                .append(' ')
                .append(coordinate(y));
        return this;
    }

    public boolean isEmpty() {
        return path.isEmpty();
    }

    public String open() {
        return path.toString();
    }

    public String closed() {
        return path.isEmpty() ? "" : path + "Z";
    }

    /** One decimal is a tenth of a pixel. */
    public static String coordinate(double value) {
        // Not String.format: a page of drawings has ten thousand of these.
        long tenths = Math.round(Math.abs(value) * 10);
        return (value < 0 && tenths > 0 ? "-" : "") + tenths / 10 + "." + tenths % 10;
    }
}
