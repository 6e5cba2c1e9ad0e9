/**
 * The file of the data: written whole, checked, put back.
 */
@MayUse({})
@NullMarked
package io.causticon.web.store.file;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
