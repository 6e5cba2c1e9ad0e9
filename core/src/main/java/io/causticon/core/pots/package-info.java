/**
 * What happens in the pots before lye and fats meet: how hot the lye gets, how both cool, when they meet. One class per published relation.
 * May use {@code observation}, {@code formula}, {@code substance}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.pots;

import org.jspecify.annotations.NullMarked;
