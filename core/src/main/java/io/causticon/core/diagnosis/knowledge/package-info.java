/**
 * What is known of each family of conditions, one hidden class a family, each line with its strength and its reason. May use {@code diagnosis},
 * {@code observation}, {@code formula}, {@code mould}, {@code substance}, {@code wording}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.diagnosis.knowledge;

import org.jspecify.annotations.NullMarked;
