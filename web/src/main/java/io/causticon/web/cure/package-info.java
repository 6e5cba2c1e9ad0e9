/**
 * Bars after the cut: how they dry, what is worth testing and how, what stands before a release, where they went, their labels and their dates. May use
 * {@code shelf}, {@code batch}, {@code account}, {@code print}, {@code shared}.
 */
@NullMarked
package io.causticon.web.cure;

import org.jspecify.annotations.NullMarked;
