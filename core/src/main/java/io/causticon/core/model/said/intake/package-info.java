/**
 * What other instruments wrote: how their tables tell time and temperature, and which few of a million readings tell
 * what all of them do.
 */
@MayUse({"model.log", "model.said.notation", "model.said.note", "model.substance", "quantity"})
@NullMarked
package io.causticon.core.model.said.intake;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
