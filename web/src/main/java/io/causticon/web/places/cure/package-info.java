/**
 * Bars after the cut: how they dry, what is worth testing and how, what stands before a release, where they went, their
 * labels and their dates.
 */
@MayUse({"places.batch", "shared", "shared.print", "shared.words", "store.account", "store.batch", "store.shelf"})
@NullMarked
package io.causticon.web.places.cure;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
