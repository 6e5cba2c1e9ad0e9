package io.causticon.core.science.history;

import java.time.Month;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Collectors;

/** By what a history is parted. */
public enum Grouping {
    RECIPE,
    MOULD,
    INGREDIENT,
    /** Three months each, from December on. */
    SEASON;

    private static final List<String> SEASONS =
            List.of("December to February", "March to May", "June to August", "September to November");

    /** The groups that a chapter is in; none where it tells nothing of it. */
    List<String> of(Chapter chapter, ZoneId zone) {
        return switch (this) {
            case RECIPE -> List.of(chapter.recipe());
            case MOULD -> chapter.mould().isEmpty() ? List.of() : List.of(chapter.mould());
            case INGREDIENT -> chapter.substances().stream().collect(Collectors.toList());
            case SEASON ->
                List.of(SEASONS.get(
                        chapter.begun().atZone(zone).getMonth().getValue() % Month.DECEMBER.getValue() / 3));
        };
    }
}
