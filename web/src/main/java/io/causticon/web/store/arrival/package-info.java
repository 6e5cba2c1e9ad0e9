/**
 * What was brought in from elsewhere: laid aside, looked through, taken whole or not at all, taken back.
 */
@MayUse({"shared", "shared.print", "shared.words", "store.account", "store.batch", "store.document", "store.shelf"})
@NullMarked
package io.causticon.web.store.arrival;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
