/**
 * What other programs ask: batches read and lines added over HTTP with a token, within its scopes and its rate. May use {@code document}, {@code batch},
 * {@code account}, {@code shared}.
 */
@NullMarked
package io.causticon.web.api;

import org.jspecify.annotations.NullMarked;
