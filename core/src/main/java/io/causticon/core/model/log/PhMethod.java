package io.causticon.core.model.log;

/** How a pH was read; without it the number means nothing. */
public enum PhMethod {
    /** An indicator strip on wet paste or suds. Reads low and misses pockets. */
    STRIP,
    /** A pen or meter in a 1 % solution. */
    METER
}
