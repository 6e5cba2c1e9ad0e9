package io.causticon.web.batch;

import io.causticon.core.observation.KnownVessels;

/** Who knows what the workshop's vessels weigh. */
@FunctionalInterface
public interface VesselSource {

    /** All of them, also those put away: old batches were weighed in them. */
    KnownVessels knownVessels();
}
