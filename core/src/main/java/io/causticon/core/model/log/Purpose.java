package io.causticon.core.model.log;

/** What a batch is made for. */
public enum Purpose {
    /** To be used, given away or sold. */
    MADE,
    /** To find something out: it teaches like any other. */
    TRIAL,
    /** To practise, perhaps with entries of things that did not happen: it teaches the workshop nothing. */
    PRACTICE;

    /** As the log last said; made to be used where it says nothing. */
    public static Purpose of(BatchLog log) {
        return log.last(Entry.MeantFor.class).map(m -> m.entry().purpose()).orElse(MADE);
    }
}
