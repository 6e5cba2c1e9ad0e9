/**
 * Diagnosis: what is seen, what it is, what to look at next; hold and release. May use {@code shelf}, {@code batch}, {@code account}, {@code print},
 * {@code shared}.
 */
@NullMarked
package io.causticon.web.casebook;

import org.jspecify.annotations.NullMarked;
