package io.causticon.web.places.casebook;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.said.vocabulary.FindingSearch;
import io.causticon.core.science.diagnosis.evidence.Evidence;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.batch.Batch;
import java.time.Clock;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Lays out what can be seen of a batch, by the place where it is looked for. */
@Service
class PickerPages {

    private static final int MOST_GUESSES = 8;

    private final CasebookService casebook;
    private final Clock clock;

    PickerPages(CasebookService casebook, Clock clock) {
        this.casebook = casebook;
        this.clock = clock;
    }

    /**
     * What was touched so far.
     *
     * @param where the id of a place, anything else for every place
     * @param find own words, which come before the place
     * @param finding the id of a finding, anything else for none
     * @param presence whether it is there
     * @param answers to what is asked of it, by the id of the finding
     */
    record Touched(String where, String find, String finding, Presence presence, Map<String, String> answers) {}

    PickerPage page(Batch batch, Touched touched) {
        Optional<Pictures.Where> where = Arrays.stream(Pictures.Where.values())
                .filter(w -> w.name().equals(touched.where()))
                .findFirst();
        Map<Finding, Presence> known = casebook.examine(batch).evidence().stream()
                .collect(Collectors.toMap(Evidence::finding, Evidence::presence, (a, b) -> b));
        Optional<Finding> chosen = Findings.find(touched.finding());
        return new PickerPage(
                batch.id().toString(),
                batch.name(),
                Formats.duration(batch.log().ageAt(clock.instant())) + " old",
                where.map(Enum::name).orElse(""),
                Arrays.stream(Pictures.Where.values())
                        .map(w -> new PickerPage.Place(
                                w.name(), w.words(), where.filter(w::equals).isPresent()))
                        .toList(),
                shown(where, touched.find())
                        .map(f -> tile(f, chosen, touched.presence(), known.get(f)))
                        .toList(),
                chosen.map(f -> chosen(f, touched, batch)).orElse(null));
    }

    /** What own words may mean; without words what is looked for in a place, and in every place without one. */
    private static Stream<Finding> shown(Optional<Pictures.Where> where, String find) {
        if (!find.isBlank()) {
            return FindingSearch.standard().guesses(find, MOST_GUESSES).stream().map(g -> g.finding());
        }
        return Findings.ALL.stream()
                .filter(f -> where.isEmpty() || Pictures.of(f).where() == where.get());
    }

    private static PickerPage.Tile tile(
            Finding finding, Optional<Finding> chosen, Presence presence, @Nullable Presence known) {
        boolean here = chosen.filter(finding::equals).isPresent();
        String next = here && presence == Presence.SEEN ? Presence.LOOKED_AND_ABSENT.name() : Presence.SEEN.name();
        String said = known == null ? "" : known == Presence.SEEN ? "seen" : "looked: " + finding.absent();
        return new PickerPage.Tile(
                finding.id(), finding.words(), Pictures.of(finding).drawing(), here ? presence.name() : "", next, said);
    }

    private PickerPage.Chosen chosen(Finding finding, Touched touched, Batch batch) {
        boolean seen = touched.presence() == Presence.SEEN;
        Duration age = batch.log().ageAt(clock.instant());
        long days = Math.max(1, finding.from().toDays());
        return new PickerPage.Chosen(
                finding.id(),
                seen ? finding.words() : finding.absent(),
                finding.look(),
                seen,
                age.compareTo(finding.from()) < 0 ? "from day " + days + " on" : "",
                seen
                        ? Pictures.of(finding).asks().stream()
                                .map(f -> asked(f, touched.answers()))
                                .toList()
                        : List.of());
    }

    private static PickerPage.Asked asked(Finding finding, Map<String, String> answers) {
        return new PickerPage.Asked(
                finding.id(), finding.words(), finding.absent(), answers.getOrDefault(finding.id(), ""));
    }
}
