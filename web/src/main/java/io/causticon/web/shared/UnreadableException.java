package io.causticon.web.shared;

import java.util.List;

/**
 * Something is there and cannot be worked with. It is shown as what it is, on a page of its own, and takes nothing else
 * down.
 */
public class UnreadableException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String title;
    private final List<String> lines;

    /**
     * @param title what it is
     * @param why what is wrong with it, in the maker's words
     * @param lines what it holds, a line each; may be empty
     */
    public UnreadableException(String title, String why, List<String> lines) {
        super(why);
        this.title = title;
        this.lines = List.copyOf(lines);
    }

    public String title() {
        return title;
    }

    public List<String> lines() {
        return lines;
    }
}
