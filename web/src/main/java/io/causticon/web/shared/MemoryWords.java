package io.causticon.web.shared;

import io.causticon.core.model.log.Behaviour;
import io.causticon.core.science.making.IngredientMemory;
import io.causticon.core.science.making.TraceKnowledge;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Words what an ingredient did in this workshop. */
public final class MemoryWords {

    private MemoryWords() {}

    /** {@code 3 batches here: riced 2, moved 1}. */
    public static String counts(IngredientMemory memory) {
        int n = memory.uses().size();
        String batches = n == 1 ? "1 batch here" : n + " batches here";
        String did = did(memory);
        return batches + (did.isEmpty() ? ", no trouble logged" : ": " + did);
    }

    /** {@code riced 2, moved 1}; empty when nothing was logged. */
    public static String did(IngredientMemory memory) {
        return memory.counts().entrySet().stream()
                .map(e -> word(e.getKey()) + " " + e.getValue())
                .collect(Collectors.joining(", "));
    }

    /** {@code minutes left × 0.6, 0.4 to 0.9}. */
    public static String effect(TraceKnowledge.Known effect) {
        return "minutes left \u00d7 " + Formats.number(Math.exp(effect.middle()), 2) + ", " + band(effect);
    }

    private static String band(TraceKnowledge.Known effect) {
        return Formats.number(Math.exp(effect.low()), 2) + " to " + Formats.number(Math.exp(effect.high()), 2);
    }

    /** One use: where, when, and what came of it. */
    public static String circumstances(IngredientMemory.Use use, Formats formats) {
        List<String> parts = new ArrayList<>();
        if (use.dose() > 0) {
            parts.add(Formats.number(use.dose(), 0) + " g/kg");
        }
        use.at()
                .ifPresent(
                        s -> parts.add("at " + s.name().toLowerCase(Locale.ROOT).replace('_', ' ')));
        use.batter().ifPresent(t -> parts.add("batter " + formats.temperature(t)));
        use.after()
                .ifPresent(
                        a -> parts.add(a.stage().name().toLowerCase(Locale.ROOT).replace('_', ' ') + " "
                                + Formats.number(a.minute(), 1) + " min later"));
        if (use.lot() != null) {
            parts.add("lot " + use.lot());
        }
        return String.join(", ", parts);
    }

    /** What it did, in a word or two; {@code behaved} when nothing was logged. */
    public static String did(IngredientMemory.Use use) {
        return use.did().isEmpty()
                ? "behaved"
                : use.did().stream().map(MemoryWords::word).collect(Collectors.joining(", "));
    }

    private static String word(Behaviour b) {
        return b.name().toLowerCase(Locale.ROOT);
    }
}
