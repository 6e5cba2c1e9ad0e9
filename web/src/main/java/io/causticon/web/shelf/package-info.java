/**
 * What stands on the workshop's shelf: moulds and vessels. May use {@code shared}.
 */
@NullMarked
package io.causticon.web.shelf;

import org.jspecify.annotations.NullMarked;
