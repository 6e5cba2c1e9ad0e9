package io.causticon.web.exchange.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Part of all batches.
 *
 * @param batches the youngest first
 * @param next where the next part begins
 */
@Schema(requiredProperties = "batches")
@JsonInclude(JsonInclude.Include.NON_NULL)
record ListedBatches(
        List<BatchState> batches,

        @Schema(description = "Send it as after for those that follow; missing at the end.") @Nullable
        UUID next) {}
