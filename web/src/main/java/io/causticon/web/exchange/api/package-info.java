/**
 * What other programs ask: batches read and lines added over HTTP with a token, within its scopes and its rate.
 */
@MayUse({"shared", "shared.words", "store.account", "store.batch", "store.document", "store.token"})
@NullMarked
package io.causticon.web.exchange.api;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
