package io.causticon.web.shared.start;

/** What keeps the application from starting, in words for whoever starts it, with a way out. */
public final class CannotStart extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public CannotStart(String words) {
        super(words);
    }
}
