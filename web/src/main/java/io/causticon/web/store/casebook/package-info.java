/**
 * What concluded cases taught.
 */
@MayUse("store.batch")
@NullMarked
package io.causticon.web.store.casebook;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
