/**
 * Practice as it is kept: cases, drills, what somebody shows.
 */
@MayUse({"shared", "store.account"})
@NullMarked
package io.causticon.web.store.practice;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
