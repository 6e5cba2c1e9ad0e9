/**
 * Batches, their logs and the strip of their life. May use {@code account}, {@code print}, {@code shared}.
 */
@NullMarked
package io.causticon.web.batch;

import org.jspecify.annotations.NullMarked;
