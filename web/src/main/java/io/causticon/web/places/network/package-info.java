/**
 * The workshop's own network: where the application listens, the certificate that it shows there, and the address as a
 * code for a camera.
 */
@MayUse({"shared", "shared.start"})
@NullMarked
package io.causticon.web.places.network;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
