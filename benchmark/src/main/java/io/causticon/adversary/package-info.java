/**
 * Plays against the release gate: given what is truly wrong with a batch, which lines of a log open it all the same,
 * and how probably are such lines written?
 */
@NullMarked
package io.causticon.adversary;

import org.jspecify.annotations.NullMarked;
