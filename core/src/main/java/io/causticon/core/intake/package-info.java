/**
 * What other instruments wrote: how their tables tell time and temperature, and which few of a million readings tell what all of them do. May use
 * {@code notation}, {@code note}, {@code observation}, {@code quantity}, {@code substance}.
 */
@NullMarked
package io.causticon.core.intake;

import org.jspecify.annotations.NullMarked;
