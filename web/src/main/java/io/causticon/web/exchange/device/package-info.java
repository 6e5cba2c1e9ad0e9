/**
 * Thermometers, scales and pH pens: one port for what is read by hand, by stand-ins that follow the physics of the
 * batch, and by real devices over HTTP. A reading becomes an entry of the log by a tap or by a rule.
 */
@MayUse({"shared", "store.account", "store.batch", "store.device"})
@NullMarked
package io.causticon.web.exchange.device;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
