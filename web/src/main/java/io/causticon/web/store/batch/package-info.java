/**
 * Batches and their logs as they are kept: rows, versioned codecs, the row of its judgement that lists read, and
 * judging again when what it depends on moves.
 */
@MayUse({"shared", "shared.words", "store.account"})
@NullMarked
package io.causticon.web.store.batch;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
