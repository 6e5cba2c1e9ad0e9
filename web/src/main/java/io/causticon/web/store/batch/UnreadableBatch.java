package io.causticon.web.store.batch;

import java.util.List;

/**
 * A batch that is kept and cannot be worked with: its plan or its beginning cannot be understood. It stands in a row of
 * its own.
 *
 * @param id names it
 * @param code its short name
 * @param name what it is called
 * @param why what is wrong, in the maker's words
 * @param lines what its log says, a line each, as it stands there
 */
public record UnreadableBatch(BatchId id, String code, String name, String why, List<String> lines) {

    public UnreadableBatch {
        lines = List.copyOf(lines);
    }
}
