/**
 * The live batch, one thing at a time. May use {@code batch}, {@code casebook}, {@code shared}, {@code account}.
 */
@NullMarked
package io.causticon.web.bench;

import org.jspecify.annotations.NullMarked;
