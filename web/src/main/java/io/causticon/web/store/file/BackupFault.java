package io.causticon.web.store.file;

/** Why a copy cannot be written or put back, in words for whoever asked for it. */
public final class BackupFault extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public BackupFault(String words) {
        super(words);
    }

    public BackupFault(String words, Throwable cause) {
        super(words, cause);
    }
}
