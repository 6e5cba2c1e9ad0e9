/**
 * Tokens of programs: whose they are, what they may do, until when.
 */
@MayUse({"shared", "store.account"})
@NullMarked
package io.causticon.web.store.token;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
