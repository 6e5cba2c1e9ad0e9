/**
 * What other instruments wrote: how their tables tell time and temperature, and which few of a million readings tell what all of them do. May use
 * {@code observation}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.intake;

import org.jspecify.annotations.NullMarked;
