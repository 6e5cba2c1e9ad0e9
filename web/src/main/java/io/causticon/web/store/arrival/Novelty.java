package io.causticon.web.store.arrival;

/** How a document that came stands to what is here. */
public enum Novelty {
    FAULT("cannot be taken"),
    DIFFERENT("different here"),
    MORE("more than here"),
    NEW("new"),
    SAME("as here");

    private final String words;

    Novelty(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
