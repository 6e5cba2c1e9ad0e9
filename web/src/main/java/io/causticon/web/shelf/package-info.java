/**
 * What stands on the workshop's shelf: moulds, vessels, own fats and fragrances, lots. May use {@code batch}, {@code account}, {@code shared}.
 */
@NullMarked
package io.causticon.web.shelf;

import org.jspecify.annotations.NullMarked;
