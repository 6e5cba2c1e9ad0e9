package io.causticon.web.store.batch;

import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.substance.Catalogue;

/** What a workshop has of its own that lines of a log may name. */
public interface Belongings {

    /** What its vessels weigh, also those put away: old batches were weighed in them. */
    KnownVessels knownVessels();

    /** The tables with its own fats and fragrances, also those put away; the same one until something changes. */
    Catalogue substances();
}
