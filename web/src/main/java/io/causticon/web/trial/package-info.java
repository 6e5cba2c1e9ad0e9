/**
 * Trials: a question, arms that are there or planned and made for it, panels at equal ages, what they come to, what they found for later plans. May use
 * {@code plan}, {@code shelf}, {@code batch}, {@code account}, {@code print}, {@code shared}.
 */
@NullMarked
package io.causticon.web.trial;

import org.jspecify.annotations.NullMarked;
