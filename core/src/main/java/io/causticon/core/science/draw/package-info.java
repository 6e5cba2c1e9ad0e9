/**
 * Batches that never were: drawn by plain frequencies with what is wrong with them, to try the diagnosis and makers on.
 * What draws does not know what the diagnosis goes by, or that would be judged by its own opinion.
 */
@MayUse({"model.log", "model.plan", "model.substance", "quantity"})
@NullMarked
package io.causticon.core.science.draw;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
