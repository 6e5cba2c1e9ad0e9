package io.causticon.web.shared.start;

import java.net.BindException;
import java.sql.SQLException;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.boot.web.server.PortInUseException;

/** Says in a line why the application could not start. */
public final class StartFault {

    /** H2's numbers: see org.h2.api.ErrorCode, whose class is not there to be compiled against. */
    private static final int ALREADY_OPEN = 90020;

    private static final int CORRUPTED = 90030;
    private static final int INPUT_OUTPUT = 90031;
    private static final int INPUT_OUTPUT_ON = 90028;
    private static final int ANOTHER_VERSION = 90048;
    private static final int SAME_FILE_TWICE = 90119;

    private static final int MOST_CAUSES = 40;

    private StartFault() {}

    /** The words; empty for what is not known, which then is a fault of ours and wants its trace. */
    public static Optional<String> words(Throwable failure, String folder, String port) {
        return Stream.iterate(failure, t -> t != null, Throwable::getCause)
                .limit(MOST_CAUSES)
                .flatMap(t -> one(t, folder, port).stream())
                .findFirst();
    }

    private static Optional<String> one(Throwable t, String folder, String port) {
        if (t instanceof CannotStart) {
            return Optional.of(t.getMessage());
        }
        if (t instanceof PortInUseException || t instanceof BindException) {
            boolean denied = String.valueOf(t.getMessage()).contains("ermission denied");
            return Optional.of(
                    denied
                            ? "Port " + port + " may not be used by this user. Choose one above 1023 with --port N."
                            : "Port " + port
                                    + " is taken. Stop what listens there, or choose another one with --port N.");
        }
        if (t instanceof SQLException sql) {
            return ofDatabase(sql, folder);
        }
        return Optional.empty();
    }

    /** Whether the disk is full or fails. */
    public static boolean isOfTheDisk(SQLException e) {
        return e.getErrorCode() == INPUT_OUTPUT || e.getErrorCode() == INPUT_OUTPUT_ON;
    }

    private static Optional<String> ofDatabase(SQLException e, String folder) {
        return switch (e.getErrorCode()) {
            case ALREADY_OPEN, SAME_FILE_TWICE ->
                Optional.of("The data in " + folder
                        + " are in use: another Causticon is running with them. Stop that one, or name another"
                        + " folder.");
            case CORRUPTED, ANOTHER_VERSION ->
                Optional.of("The file in " + folder
                        + " is damaged or not one of Causticon's, and cannot be opened. Nothing was changed. Put a"
                        + " whole copy back, or move it away to begin anew.");
            case INPUT_OUTPUT, INPUT_OUTPUT_ON ->
                Optional.of("The file in " + folder
                        + " could not be read or written: the disk is full, or it fails. Make room, check the"
                        + " disk, then start again.");
            default -> Optional.empty();
        };
    }
}
