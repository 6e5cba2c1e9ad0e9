/** Measurements of the core with JMH: medians to compare with one another, on whatever machine they are run. */
@NullMarked
package io.causticon.benchmark;

import org.jspecify.annotations.NullMarked;
