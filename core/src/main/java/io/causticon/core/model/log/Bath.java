package io.causticon.core.model.log;

/** What a pot stands in while it comes to its temperature. */
public enum Bath {
    /** The air of the workshop. */
    ROOM,
    /** Water with ice in it: 1 C. */
    ICE_BATH,
    /** Water from the tap. */
    COLD_BATH,
    /** Warm water, or a warm plate. */
    WARM_BATH
}
