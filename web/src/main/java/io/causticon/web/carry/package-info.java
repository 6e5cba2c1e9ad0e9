/**
 * Carrying: what a workshop has written, out in open formats and in from elsewhere, looked at first and taken back as a whole. May use {@code document},
 * {@code print}, {@code plan}, {@code shelf}, {@code batch}, {@code account}, {@code shared}.
 */
@NullMarked
package io.causticon.web.carry;

import org.jspecify.annotations.NullMarked;
