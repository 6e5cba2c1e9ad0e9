/**
 * Trials: a question, what is compared with what, panels at equal ages, what they come to. May use {@code casebook}, {@code batch}, {@code account},
 * {@code shared}.
 */
@NullMarked
package io.causticon.web.trial;

import org.jspecify.annotations.NullMarked;
