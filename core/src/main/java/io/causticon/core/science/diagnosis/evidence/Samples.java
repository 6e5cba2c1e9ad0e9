package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Presence;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** On which bars each finding was looked for: what was seen on one of them says little of the next. */
final class Samples {

    /** What is logged again sooner is the same wash told twice. */
    private static final Duration ANOTHER_WASH = Duration.ofHours(6);

    private final Map<Finding, List<Look>> looks = new HashMap<>();

    /** One line that says whether something is there. */
    record Look(Presence presence, Instant at, @Nullable Bars on) {}

    void add(Finding finding, Presence presence, Instant at, @Nullable Bars on) {
        looks.computeIfAbsent(finding, f -> new ArrayList<>()).add(new Look(presence, at, on));
    }

    /**
     * On how many different bars a finding was seen, or looked for and not there. Bars without a number may be any of
     * the others, so they never add up: the largest that is certain.
     *
     * @param meant from when on looking means something; a bar that was looked at before is none
     */
    int bars(Finding finding, Presence presence, Instant meant) {
        Set<String> named = new HashSet<>();
        int unnamed = 0;
        for (Look look : looks.getOrDefault(finding, List.of())) {
            if (look.presence() == presence && !look.at().isBefore(meant)) {
                if (look.on() != null && !look.on().numbers().isEmpty()) {
                    named.addAll(names(look.on()));
                } else {
                    unnamed = Math.max(unnamed, Bars.count(look.on()));
                }
            }
        }
        return Math.max(named.size(), unnamed);
    }

    /** Bars by their names on which a finding was seen, or looked for and not there; those without a name left out. */
    Set<String> named(Finding finding, Presence presence) {
        return looks.getOrDefault(finding, List.of()).stream()
                .filter(l -> l.presence() == presence && l.on() != null)
                .flatMap(l -> names(l.on()).stream())
                .collect(Collectors.toSet());
    }

    /**
     * On how many different bars something was looked for and not there, beside those on which it was: bars without a
     * number may be any of the others, but one that was clean after another showed it is not that one.
     *
     * @param meant from when on looking means something
     */
    int barsBeside(Finding finding, Instant meant) {
        Set<String> named = new HashSet<>();
        Set<String> shown = new HashSet<>();
        int unnamed = 0;
        int before = 0;
        Optional<Instant> first = looks.getOrDefault(finding, List.of()).stream()
                .filter(l -> l.presence() == Presence.SEEN)
                .map(Look::at)
                .min(Comparator.naturalOrder());
        for (Look look : looks.getOrDefault(finding, List.of())) {
            boolean isNamed = look.on() != null && !look.on().numbers().isEmpty();
            if (look.presence() == Presence.SEEN && isNamed) {
                shown.addAll(names(look.on()));
            } else if (look.presence() == Presence.LOOKED_AND_ABSENT
                    && !look.at().isBefore(meant)) {
                if (isNamed) {
                    named.addAll(names(look.on()));
                } else if (first.filter(look.at()::isBefore).isPresent()) {
                    // Those that were clean may have been the ones that show it now.
                    before = Math.max(before, Bars.count(look.on()) - 1);
                } else {
                    unnamed = Math.max(unnamed, Bars.count(look.on()));
                }
            }
        }
        named.removeAll(shown);
        return Math.max(named.size(), Math.max(unnamed, before));
    }

    /** When something was last looked for and not there. */
    Optional<Instant> lastClean(Finding finding, Instant meant) {
        return looks.getOrDefault(finding, List.of()).stream()
                .filter(l -> l.presence() == Presence.LOOKED_AND_ABSENT && !l.at().isBefore(meant))
                .map(Look::at)
                .max(Comparator.naturalOrder());
    }

    /** Bar 3 of the cream is another than bar 3 of the goat. */
    private static List<String> names(Bars bars) {
        String of = bars.portion() == null
                ? ""
                : " of " + bars.portion().name().trim().toLowerCase(Locale.ROOT);
        return bars.numbers().stream().map(n -> n + of).toList();
    }

    /**
     * What came of the same test on another bar, or on one that was not named, after it was bad for the first time: as
     * bad, if it ever was, else what came last.
     *
     * @param meant from when on the test means something
     */
    Optional<Look> ofAnotherBar(Finding finding, Instant meant) {
        List<Look> all = looks.getOrDefault(finding, List.of()).stream()
                .filter(l -> !l.at().isBefore(meant))
                .toList();
        Optional<Look> first =
                all.stream().filter(l -> l.presence() == Presence.SEEN).findFirst();
        if (first.isEmpty()) {
            return Optional.empty();
        }
        List<Look> later = all.stream().filter(l -> isAnother(l, first.get())).toList();
        Optional<Look> bad =
                later.stream().filter(l -> l.presence() == Presence.SEEN).findFirst();
        return bad.isPresent() ? bad : later.stream().reduce((a, b) -> b);
    }

    private static boolean isAnother(Look look, Look first) {
        if (look == first || Bars.areTheSame(look.on(), first.on())) {
            return false;
        }
        boolean bothNamed = look.on() != null && first.on() != null;
        return bothNamed || !look.at().isBefore(first.at().plus(ANOTHER_WASH));
    }
}
