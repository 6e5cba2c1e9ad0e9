/**
 * Soap made to find something out: in which order judges meet the arms, what their grades come to. May use {@code observation}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.trial;

import org.jspecify.annotations.NullMarked;
