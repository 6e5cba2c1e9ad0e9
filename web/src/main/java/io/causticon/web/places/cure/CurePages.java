package io.causticon.web.places.cure;

import io.causticon.core.model.log.BarStock;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.Whither;
import io.causticon.core.model.said.entry.EntryKinds;
import io.causticon.core.model.said.entry.Tells;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.cure.Drying;
import io.causticon.core.science.cure.Readiness;
import io.causticon.core.science.cure.Staleness;
import io.causticon.core.science.diagnosis.BarTest;
import io.causticon.core.science.diagnosis.NextTest;
import io.causticon.core.science.diagnosis.ReleaseGate;
import io.causticon.core.wording.Phrase;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.core.workshop.assessment.Hold;
import io.causticon.core.workshop.dates.Tasks;
import io.causticon.web.places.batch.BatchWords;
import io.causticon.web.places.batch.RoadWords;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Assessments;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Words and lays out a batch's cure. */
@Service
class CurePages {

    private static final int MOST_BARS = 30;

    /** g, as an example. */
    private static final double TYPICAL_BAR = 104.2;

    private static final int MOST_SEEN = 3;
    private static final int MOST_DATES = 6;

    private static final List<CurePage.Tap> STANDINGS = Stream.of(
                    "apart on a rack", "apart on a board", "close together", "wrapped")
            .map(w -> new CurePage.Tap(w, "bars " + w, false))
            .toList();

    private final Assessments assessments;
    private final ShelfService shelf;
    private final Clock clock;

    CurePages(Assessments assessments, ShelfService shelf, Clock clock) {
        this.assessments = assessments;
        this.shelf = shelf;
        this.clock = clock;
    }

    /** @param asked the name of the test that is to be shown; empty for the one that is worth doing */
    CurePage page(Batch batch, Maker maker, String asked) {
        Instant now = clock.instant();
        Formats formats = maker.formats();
        Assessment assessment = assessments.of(batch);
        List<ReleaseGate.Requirement> wanted =
                assessment.gate().map(ReleaseGate::requirements).orElse(List.of());
        NextTest next = assessment
                .examined()
                .map(e -> NextTest.of(batch.facts(now), e.worst(), e.gate()))
                .orElseGet(() -> NextTest.none(
                        Phrase.of(assessment.isHeld() ? assessment.state().words() : "it is not poured yet")));
        RoadWords road = RoadWords.of(assessment.examined().flatMap(e -> assessments.road(batch, e)), formats, now);
        // What is looked at first is told first: the test that the page guides through comes behind it.
        Optional<RoadWords.Step> look = road.opens() && !next.keptFromSkin()
                ? road.steps().stream().findFirst().filter(s -> s.isLook())
                : Optional.empty();
        BarTest shown = asked.isBlank() ? next.test().orElse(BarTest.WASH) : BarTest.called(asked);
        Readiness readiness = Readiness.of(batch.plan(), batch.log());
        BarStock stock = BarStock.of(batch.log());
        boolean poured = batch.log().first(Entry.Poured.class).isPresent();
        return new CurePage(
                batch.id().toString(),
                batch.name(),
                Formats.duration(batch.log().ageAt(now)) + " old, "
                        + assessment.state().words(),
                assessment.isHeld(),
                assessment.state() == Assessment.State.UNFIT,
                sentence(assessment.hold().map(Hold::because).orElse("")).replaceFirst("\\.$", ""),
                poured ? headline(assessment, readiness, formats, now) : "Not poured yet",
                poured ? band(readiness, formats, now) : "",
                poured ? DryingChart.of(readiness, formats, now) : null,
                readiness.drying().told().stream().map(t -> formats.sentence(t)).toList(),
                bars(batch, readiness.drying(), formats),
                "bar " + nextBar(readiness.drying()) + "  " + formats.mass(Mass.grams(TYPICAL_BAR)),
                look.map(l -> "Look first")
                        .orElseGet(() -> next.test().map(BarTest::title).orElse("Nothing to test today")),
                look.map(RoadWords.Step::words).orElseGet(() -> sentence(formats.phrase(next.why()))),
                guide(shown),
                shown.isOnSkin() && next.keptFromSkin(),
                Arrays.stream(BarTest.values())
                        .map(t -> new CurePage.Other(name(t), t.title(), t == shown))
                        .toList(),
                wanted.stream()
                        .map(r -> new CurePage.Wanted(r.isMet(), formats.phrase(r.words())))
                        .toList(),
                assessment.mayBeReleased(),
                road,
                dates(assessment, formats, now),
                stock.apart().stream()
                        .map(a -> EntryWords.of(a, batch.names(), formats).text())
                        .toList(),
                stock.cut() == 0 ? "" : stock(stock),
                went(batch, formats),
                air(batch, formats),
                STANDINGS,
                poured ? keeps(batch, formats, now) : List.of(),
                faces(batch));
    }

    private static String air(Batch batch, Formats formats) {
        return Stream.of(Entry.BarsStand.class, Entry.HumidityRead.class, Entry.ToCure.class)
                .flatMap(kind -> batch.log().last(kind).stream())
                .map(said -> EntryWords.of(said.entry(), batch.names(), formats).text())
                .collect(Collectors.joining(", "));
    }

    /** How long they keep, why no longer, and lots that were past their date when they went in. */
    private List<String> keeps(Batch batch, Formats formats, Instant now) {
        Optional<Staleness> told = Staleness.of(batch.plan(), batch.log());
        if (told.isEmpty()) {
            return List.of();
        }
        Staleness stale = told.get();
        List<String> keeps = new ArrayList<>();
        keeps.add(
                Staleness.isSeen(batch.log())
                        ? "Stale spots or their smell were seen."
                        : (stale.from().isAfter(now)
                                        ? "Stale spots are hardly to be expected before "
                                        : "Stale spots may come since ")
                                + formats.month(stale.from()) + "; in half of such bars by "
                                + formats.month(stale.likely()) + ", in nine of ten by " + formats.month(stale.to())
                                + ".");
        if (!stale.because().isEmpty()) {
            keeps.add(sentence(stale.because().stream().map(formats::phrase).collect(Collectors.joining(", "))));
        }
        Set<String> past =
                shelf.pantry().lotsPastUse(LocalDate.ofInstant(batch.log().begun(), formats.zone()));
        batch.plan().formula().fats().stream()
                .filter(f -> f.lot() != null && past.contains(f.lot()))
                .forEach(f ->
                        keeps.add(f.fat().name() + " " + f.lot() + " was past its date when it went in: look sooner."));
        return keeps;
    }

    /** Pictures of each bar, of each portion and of the batch, where there are some. */
    private static List<CurePage.Face> faces(Batch batch) {
        Map<String, List<CurePage.Shot>> faces = new TreeMap<>();
        for (BatchLog.Timed<Entry.PhotoTaken> taken :
                batch.log().of(Entry.PhotoTaken.class).toList()) {
            Entry.PhotoTaken photo = taken.entry();
            String age = Formats.duration(Duration.between(batch.log().begun(), taken.at()));
            List<String> labels = photo.on() == null ? List.of("") : labels(photo);
            labels.forEach(label -> faces.computeIfAbsent(label, l -> new ArrayList<>())
                    .add(new CurePage.Shot(photo.photo(), age, photo.caption())));
        }
        return faces.entrySet().stream()
                .map(f -> new CurePage.Face(
                        f.getKey().isEmpty()
                                ? "The batch"
                                : Character.isDigit(f.getKey().charAt(0)) ? "Bar " + f.getKey() : "A bar " + f.getKey(),
                        f.getValue()))
                .limit(MOST_BARS)
                .toList();
    }

    private static String stock(BarStock stock) {
        String gone = Arrays.stream(Whither.values())
                .filter(w -> stock.count(w) > 0)
                .map(w -> stock.count(w) + " " + w.name().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
        return stock.left() + " of " + stock.cut() + " are here" + (gone.isEmpty() ? "." : "; " + gone + ".");
    }

    /** Each time that bars left the rack, the last first. */
    static List<CurePage.Date> went(Batch batch, Formats formats) {
        List<CurePage.Date> went = new ArrayList<>();
        for (LoggedEntry line : batch.log().entries()) {
            if (line.entry() instanceof Entry.BarsWent) {
                went.add(
                        0,
                        new CurePage.Date(
                                EntryWords.of(line.entry(), batch.names(), formats)
                                        .text(),
                                formats.date(line.at()),
                                true));
            }
        }
        return went;
    }

    private static String name(BarTest test) {
        return test.name().toLowerCase(Locale.ROOT);
    }

    private static CurePage.Guide guide(BarTest test) {
        return new CurePage.Guide(
                name(test),
                test.title(),
                test.minutes() + " min",
                test.worth(),
                test.steps(),
                test.answers().stream()
                        .map(a -> new CurePage.Tap(a.words(), a.line(), a.isAlarming()))
                        .toList(),
                test.blanks().stream()
                        .map(b -> new CurePage.Field(b.name(), b.words(), b.example()))
                        .toList(),
                test == BarTest.TITRATE);
    }

    /** A date says nothing of what may not be used. */
    private static String headline(Assessment assessment, Readiness readiness, Formats formats, Instant now) {
        if (assessment.isHeld()) {
            return sentence(assessment.state().words()).replaceFirst("\\.$", "");
        }
        return readiness.ready().isAfter(now)
                ? "Ready about " + formats.longDay(readiness.ready(), now)
                : "Old enough, and dry as far as it was weighed, since " + formats.day(readiness.ready(), now);
    }

    private static String band(Readiness readiness, Formats formats, Instant now) {
        double below = readiness.drying().dryBelowAWeekShare();
        String rule =
                "dry is less than " + Formats.number(100 * below, below < Drying.DRY_BELOW_A_WEEK ? 2 : 1) + " % a week"
                        + (readiness.drying().isCovered() ? ", as closely as they stand" : "")
                        + (readiness.drying().isInDampAir() ? ", in air so damp" : "");
        if (!readiness.isWeighed()) {
            return "the least for its kind; weighings move it. By water and air alone dry about "
                    + formats.day(readiness.dry(), now) + "; " + rule;
        }
        return formats.day(readiness.readyBand().get(0), now) + " to "
                + formats.day(readiness.readyBand().get(1), now) + "; " + rule
                + (readiness.dry().isAfter(readiness.oldEnough())
                        ? ""
                        : ", and its kind wants until " + formats.day(readiness.oldEnough(), now));
    }

    /** The number after the highest that was weighed today is the likeliest to come. */
    private static String nextBar(Drying drying) {
        return drying.bars().stream().filter(b -> b.matches("\\d+")).findFirst().orElse("1");
    }

    private static List<CurePage.BarRow> bars(Batch batch, Drying drying, Formats formats) {
        Map<String, List<LoggedEntry>> each = new LinkedHashMap<>();
        for (LoggedEntry line : batch.log().entries()) {
            if (EntryKinds.of(line.entry()).tells() == Tells.TESTS) {
                labels(line.entry())
                        .forEach(label -> each.computeIfAbsent(label, l -> new ArrayList<>())
                                .add(line));
            }
        }
        return each.entrySet().stream()
                .limit(MOST_BARS)
                .map(e -> row(e.getKey(), e.getValue(), drying, batch, formats))
                .toList();
    }

    /** What the bars of a line are called; several stand for themselves. */
    private static List<String> labels(Entry entry) {
        Bars on = entry.on();
        if (on == null) {
            return entry instanceof Entry.BarWeighed ? List.of("") : List.of();
        }
        if (on.numbers().size() > 1) {
            return on.numbers().stream()
                    .map(n -> Bars.label(Bars.numbered(n).of(on.portion())))
                    .toList();
        }
        String label = Bars.label(on);
        return label.isEmpty() ? List.of() : List.of(label);
    }

    private static CurePage.BarRow row(
            String label, List<LoggedEntry> lines, Drying drying, Batch batch, Formats formats) {
        Optional<Double> fresh = drying.freshGrams(label);
        Optional<Mass> last = lines.stream()
                .map(LoggedEntry::entry)
                .filter(Entry.BarWeighed.class::isInstance)
                .map(e -> ((Entry.BarWeighed) e).mass())
                .reduce((a, b) -> b);
        String lost = fresh.isPresent() && last.isPresent()
                ? Formats.number(100 * (1 - last.get().grams() / fresh.get()), 1) + " %"
                : "";
        String seen = lines.stream()
                .filter(l -> !(l.entry() instanceof Entry.BarWeighed))
                .sorted((a, b) -> b.at().compareTo(a.at()))
                .limit(MOST_SEEN)
                .map(l -> EntryWords.of(l.entry(), batch.names(), formats)
                                .text()
                                .replaceFirst(" on bars? .*$", "")
                                .replaceFirst(" on 1 bar of .*$", "")
                        + ", day "
                        + Duration.between(batch.log().begun(), l.at()).toDays())
                .collect(Collectors.joining("; "));
        long weighed = lines.stream()
                .filter(l -> l.entry() instanceof Entry.BarWeighed)
                .count();
        return new CurePage.BarRow(
                label.isEmpty() ? "any" : label,
                fresh.map(g -> formats.massNumber(Mass.grams(g))).orElse(""),
                last.map(formats::massNumber).orElse(""),
                lost,
                seen.isEmpty() ? weighed == 1 ? "weighed once" : "weighed " + weighed + " times" : seen);
    }

    private static List<CurePage.Date> dates(Assessment assessment, Formats formats, Instant now) {
        return assessment.dates().tasks().stream()
                .filter(Tasks.Task::isOpen)
                .limit(MOST_DATES)
                .map(t -> new CurePage.Date(BatchWords.task(t.kind()), formats.day(t.due(), now), false))
                .toList();
    }

    private static String sentence(String words) {
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1) + ".";
    }
}
