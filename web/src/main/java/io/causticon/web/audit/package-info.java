/**
 * Who did what, when, from which device; and every amendment of a log with what it said before. May use {@code batch}, {@code account}, {@code shared}.
 */
@NullMarked
package io.causticon.web.audit;

import org.jspecify.annotations.NullMarked;
