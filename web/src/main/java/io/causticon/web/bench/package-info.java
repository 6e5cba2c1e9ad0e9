/**
 * The live batch, one thing at a time. May use {@code device}, {@code shelf}, {@code batch}, {@code account}, {@code shared}.
 */
@NullMarked
package io.causticon.web.bench;

import org.jspecify.annotations.NullMarked;
