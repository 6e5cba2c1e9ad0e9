/**
 * Draws batches from physics and plain frequencies, logs them as makers do, and counts how often the diagnosis holds
 * and frees them rightly. What is drawn ({@code DrawnBatch}, and what the core draws) does not know what the diagnosis
 * goes by.
 */
@NullMarked
package io.causticon.evaluation;

import org.jspecify.annotations.NullMarked;
