package io.causticon.core.model.log;

/** How bars stand while they dry, and so how many of a bar's six faces meet the air. */
public enum Standing {
    /** Apart from each other on a rack of wires. */
    RACK(6),
    /** Apart from each other on a board. */
    BOARD(5),
    /** Side by side on a board, face against face. */
    CLOSE(3),
    /** In paper or a box that lets little through. */
    WRAPPED(1);

    private final int openFaces;

    Standing(int openFaces) {
        this.openFaces = openFaces;
    }

    /** Of six. */
    public int openFaces() {
        return openFaces;
    }
}
