package io.causticon.web.store.document;

/** A document that cannot be read, in words for whoever brought it. */
public class DocumentFault extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public DocumentFault(String words) {
        super(words);
    }

    public String words() {
        return String.valueOf(getMessage());
    }
}
