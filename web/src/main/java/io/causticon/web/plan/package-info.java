/**
 * Recipes and what follows from them while they are typed. May use {@code shelf}, {@code batch}, {@code account}, {@code shared}.
 */
@NullMarked
package io.causticon.web.plan;

import org.jspecify.annotations.NullMarked;
