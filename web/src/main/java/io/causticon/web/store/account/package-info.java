/**
 * Accounts, sign-ins and the workshop: who may, and in whose units and zone.
 */
@MayUse({"shared", "store.file"})
@NullMarked
package io.causticon.web.store.account;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
