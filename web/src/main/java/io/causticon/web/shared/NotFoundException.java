package io.causticon.web.shared;

/** There is no such thing, or no longer. */
public class NotFoundException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public NotFoundException(String what) {
        super(what);
    }
}
