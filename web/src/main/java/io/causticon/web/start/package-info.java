/**
 * Starting: the folder of the data, what keeps the application from starting, in plain words, and whether the file still holds what it held. Knows
 * no place. May use {@code shared}.
 */
@NullMarked
package io.causticon.web.start;

import org.jspecify.annotations.NullMarked;
