package io.causticon.web.exchange.api;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;

/**
 * What was added.
 *
 * @param lines ids of the lines
 * @param says what each says
 * @param before whether they stood there already
 * @param batch how the batch stands with them
 */
@Schema(requiredProperties = {"lines", "says", "before", "batch"})
record AddedLines(
        List<UUID> lines,
        List<String> says,

        @Schema(
                description =
                        "Whether the same was sent before under the same Idempotency-Key: nothing was added a second"
                                + " time.")
        boolean before,

        @Schema(description = "How the batch stands now: a line may be what holds it.")
        BatchState batch) {}
