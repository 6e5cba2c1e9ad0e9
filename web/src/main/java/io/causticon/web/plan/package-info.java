/**
 * Recipes and what follows from them while they are typed. May use {@code batch}, {@code shared}, {@code account}.
 */
@NullMarked
package io.causticon.web.plan;

import org.jspecify.annotations.NullMarked;
