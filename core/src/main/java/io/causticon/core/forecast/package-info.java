/**
 * What a batch will do, put together from the models: the lye pot, the working time, the loaf, the cure, and what will bite in
 * this combination. May use all of the core but {@code diagnosis} and {@code notation}.
 */
@NullMarked
package io.causticon.core.forecast;

import org.jspecify.annotations.NullMarked;
