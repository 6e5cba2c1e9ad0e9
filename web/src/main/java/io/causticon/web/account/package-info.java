/**
 * Who signs in, what each may do, in which units she thinks; the workshop itself. May use {@code shared}.
 */
@NullMarked
package io.causticon.web.account;

import org.jspecify.annotations.NullMarked;
