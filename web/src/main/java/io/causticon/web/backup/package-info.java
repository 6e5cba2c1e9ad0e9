/**
 * Copies of the whole workshop: written while it runs, checked after writing, kept each night, put back. May use {@code account}, {@code shared}.
 */
@NullMarked
package io.causticon.web.backup;

import org.jspecify.annotations.NullMarked;
