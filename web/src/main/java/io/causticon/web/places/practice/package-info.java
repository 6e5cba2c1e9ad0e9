/**
 * Practice: cases that never were a batch, drills of first aid, and how somebody gets on.
 */
@MayUse({"places.casebook", "shared", "shared.words", "store.account", "store.practice"})
@NullMarked
package io.causticon.web.places.practice;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
