/**
 * Batches, their logs and the strip of their life. May use {@code shared}, {@code account}.
 */
@NullMarked
package io.causticon.web.batch;

import org.jspecify.annotations.NullMarked;
