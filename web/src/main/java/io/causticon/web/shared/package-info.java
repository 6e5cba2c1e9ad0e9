/**
 * What every place needs: how values are written, how problems are worded, errors, the clock. Knows no place. May use nothing of ours.
 */
@NullMarked
package io.causticon.web.shared;

import org.jspecify.annotations.NullMarked;
