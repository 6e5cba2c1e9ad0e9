/**
 * Who did what: the trail that is only ever added to.
 */
@MayUse({"shared", "shared.words", "store.batch"})
@NullMarked
package io.causticon.web.store.audit;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
