/**
 * The open formats: which tables a document holds, what it calls their columns, how it is written and read again.
 */
@MayUse({})
@NullMarked
package io.causticon.web.store.document;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
