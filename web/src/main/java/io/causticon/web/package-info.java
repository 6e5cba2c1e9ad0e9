/**
 * The application. Each place of the screen is a package of its own; they know one another through public services and
 * id types.
 */
@NullMarked
package io.causticon.web;

import org.jspecify.annotations.NullMarked;
