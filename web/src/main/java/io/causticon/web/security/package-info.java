/**
 * Who signs in, what each may do, in which units she thinks; the workshop itself.
 */
@MayUse({"shared", "store.account", "store.device", "store.token"})
@NullMarked
package io.causticon.web.security;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
