/**
 * The open formats: which tables a document holds, what it calls their columns, how it is written and read again. May use nothing of ours.
 */
@NullMarked
package io.causticon.web.document;

import org.jspecify.annotations.NullMarked;
