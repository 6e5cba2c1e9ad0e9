/**
 * The workshop's own network: where the application listens, the certificate that it shows there, and the address as a code for a camera. May use
 * {@code start}, {@code shared}.
 */
@NullMarked
package io.causticon.web.network;

import org.jspecify.annotations.NullMarked;
