/**
 * Copies of the whole workshop: written while it runs, checked after writing, kept each night, put back.
 */
@MayUse({"shared", "store.account", "store.file"})
@NullMarked
package io.causticon.web.exchange.backup;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
