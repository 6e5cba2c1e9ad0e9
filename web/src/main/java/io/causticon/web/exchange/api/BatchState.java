package io.causticon.web.exchange.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.store.batch.BatchSummary;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** How a batch stands, as every list of the application tells it. */
@Schema(
        description =
                "How a batch stands. Moments that are still to come are what is expected; they move with the log. What"
                        + " there is none of is left out.",
        requiredProperties = {
            "id",
            "code",
            "name",
            "problem",
            "begunAt",
            "life",
            "state",
            "purpose",
            "held",
            "heldBecause",
            "pouredAt",
            "unmouldedAt",
            "readyAt",
            "due",
            "mould",
            "fatGrams",
            "bars",
            "lyeIsInFats"
        })
@JsonInclude(JsonInclude.Include.NON_NULL)
record BatchState(
        UUID id,
        @Schema(description = "Its short name on labels.") String code,
        String name,

        @Schema(
                description =
                        "Why it cannot be worked with; empty for one that can. Where it is not, the rest says nothing.")
        String problem,

        Instant begunAt,

        @Schema(allowableValues = {"bench", "mould", "cure", "ready", "abandoned"})
        String life,

        @Schema(
                description = "The one word for it, as every page, label and list has it.",
                allowableValues = {"bench", "mould", "cure", "released", "held", "unfit", "not judged", "abandoned"})
        String state,

        @Schema(allowableValues = {"made", "trial", "practice"})
        String purpose,

        @Schema(description = "Whether it may not be used, given away or sold.")
        boolean held,

        @Nullable Instant heldSince,

        @Schema(description = "What was said when it was held; empty where it is not.")
        String heldBecause,

        @Schema(description = "When it was poured, or is expected to be.")
        Instant pouredAt,

        Instant unmouldedAt,

        @Schema(description = "When it may be called ready at the earliest; its maker releases it.")
        Instant readyAt,

        List<Due> due,
        String mould,
        double fatGrams,

        @Schema(description = "Into how many it was cut; 0 before.")
        int bars,

        @Nullable Double lastBarGrams,
        @Nullable Double lyeCelsius,
        @Nullable Double fatsCelsius,
        boolean lyeIsInFats,

        @Schema(description = "What is likeliest to be the matter with it.") @Nullable
        Likely leading,

        @Schema(description = "The likeliest of what could hurt somebody.") @Nullable
        Likely hazard) {

    @Schema(
            description = "Something that is to be done.",
            requiredProperties = {"what", "at", "done"})
    record Due(String what, Instant at, boolean done) {}

    @Schema(
            description = "A condition and how likely it is, 0 to 1.",
            requiredProperties = {"condition", "probability"})
    record Likely(String condition, double probability) {

        static @Nullable Likely of(io.causticon.web.store.batch.Likely likely) {
            return likely.name().isEmpty() ? null : new Likely(likely.name(), likely.probability());
        }
    }

    static BatchState of(BatchSummary b) {
        return new BatchState(
                b.id().value(),
                b.code(),
                b.name(),
                b.problem(),
                b.begun(),
                b.life().name().toLowerCase(Locale.ROOT),
                b.state().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                b.purpose().name().toLowerCase(Locale.ROOT),
                b.isHeld(),
                b.heldSince().orElse(null),
                b.heldBecause(),
                b.pouredAt(),
                b.unmouldedAt(),
                b.readyAt(),
                b.tasks().stream()
                        .map(t -> new Due(
                                t.kind().name().toLowerCase(Locale.ROOT).replace('_', ' '), t.due(), !t.isOpen()))
                        .toList(),
                b.mould(),
                b.fatMass().grams(),
                b.bars(),
                b.lastBar().map(Mass::grams).orElse(null),
                b.lye().map(Temperature::celsius).orElse(null),
                b.fats().map(Temperature::celsius).orElse(null),
                b.lyeIsIn(),
                Likely.of(b.leading()),
                Likely.of(b.hazard()));
    }
}
