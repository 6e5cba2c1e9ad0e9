package io.causticon.web.places.batch;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.cure.Drying;
import io.causticon.core.science.cure.Readiness;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafHistory.Extent;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.core.workshop.assessment.Doubts;
import io.causticon.core.workshop.assessment.Hold;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LogTimeAxis;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Assessments;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.LoafForecasts;
import io.causticon.web.store.batch.Scraps;
import io.causticon.web.store.batch.Summaries;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Words and lays out a batch for its page. */
@Service
class BatchPages {

    /** From here on what was seen is told beside what was weighed. */
    private static final double TOLD = 0.05;

    private final LoafForecasts loaves;
    private final Summaries summaries;
    private final Assessments assessments;
    private final Scraps scraps;
    private final Clock clock;

    BatchPages(LoafForecasts loaves, Summaries summaries, Assessments assessments, Scraps scraps, Clock clock) {
        this.loaves = loaves;
        this.assessments = assessments;
        this.summaries = summaries;
        this.scraps = scraps;
        this.clock = clock;
    }

    BatchPage page(Batch batch, Maker maker) {
        Instant now = clock.instant();
        Formats formats = maker.formats();
        Optional<LoafEnsemble> loaf = loaves.of(batch, maker.room());
        AsWeighed weighed = AsWeighed.of(batch.plan(), batch.log());
        Assessment assessment = assessments.of(batch);
        return new BatchPage(
                batch.id().toString(),
                batch.name(),
                batch.code(),
                facts(batch, formats),
                Formats.percent(weighed.superfat()),
                weighed.isComplete(),
                weighed.isComplete() ? "" : notWeighed(batch, weighed),
                assessment
                        .worstHazard()
                        .filter(h -> h.probability() > TOLD)
                        .map(h -> h.condition().name() + ", " + Formats.probability(h.probability()))
                        .orElse(""),
                Formats.duration(batch.log().ageAt(now)) + " old, "
                        + assessment.state().words() + EntryWords.purpose(batch.purpose()),
                assessment.isHeld(),
                assessment.hold().map(Hold::because).orElse(""),
                assessment.doubts().stream().map(d -> doubt(d, batch, formats)).toList(),
                batch.life() == Life.ABANDONED ? givenUp(batch, formats) : null,
                StripLayout.of(batch, formats, now, loaf),
                loaf.map(l -> section(batch, l, formats, now)).orElse(null),
                loaf.map(l -> sectionWords(l, formats)).orElse(""),
                drying(batch, formats, now),
                lines(batch, formats),
                madeFrom(batch, formats),
                scraps.takenBy(batch.id()).stream()
                        .filter(k -> k.mass().isPositive())
                        .map(k -> kin(k.batch(), k.name(), k.mass(), formats))
                        .toList(),
                batch.life() == Life.BENCH);
    }

    /** The strip of its life alone. */
    Drawing strip(Batch batch, Maker maker) {
        return StripLayout.of(batch, maker.formats(), clock.instant(), loaves.of(batch, maker.room()));
    }

    /** How its bars dry, once one was weighed: when they are dry, what water is left, what is odd. */
    private static List<String> drying(Batch batch, Formats formats, Instant now) {
        if (batch.log().first(Entry.BarWeighed.class).isEmpty()) {
            return List.of();
        }
        Readiness readiness = Readiness.of(batch.plan(), batch.log());
        Drying drying = readiness.drying();
        List<Instant> band = readiness.readyBand();
        List<String> words = new ArrayList<>();
        String on =
                drying.weighings() == 1 ? "one weighing, which tells no date: " : drying.weighings() + " weighings, ";
        String kind = readiness.dry().isAfter(readiness.oldEnough())
                ? ""
                : ", though its kind wants until " + formats.day(readiness.oldEnough());
        words.add("Dry, by " + on
                + (readiness.dry().isAfter(now)
                        ? "about " + formats.day(readiness.dry()) + ", " + formats.day(band.get(0)) + " to "
                                + formats.day(band.get(1))
                        : "since about " + formats.day(readiness.dry()))
                + kind + ". Water left by now: some "
                + Formats.number(100 * drying.waterShareAt(readiness.daysAt(now)), 0) + " %.");
        drying.told().forEach(t -> words.add(formats.sentence(t)));
        return words;
    }

    /** What it was melted down from, with what is known of that today. */
    private List<BatchPage.Kin> madeFrom(Batch batch, Formats formats) {
        Rework rework = batch.plan().rework();
        if (rework == null) {
            return List.of();
        }
        Map<Weighable, Mass> weighed = AsWeighed.sums(batch.log());
        return rework.scraps().stream()
                .map(s -> kin(s.source(), s.name(), weighed.getOrDefault(Weighable.scrap(s.id()), s.mass()), formats))
                .toList();
    }

    private BatchPage.Kin kin(String id, String name, Mass mass, Formats formats) {
        Optional<BatchSummary> known = BatchId.read(id).flatMap(summaries::of);
        return new BatchPage.Kin(
                known.isPresent() ? "/batch/" + id : "",
                name,
                formats.mass(mass),
                known.map(BatchSummary::isHeld).orElse(false));
    }

    /** What the plan has and no line: as weighed is said only of what was. */
    private static String notWeighed(Batch batch, AsWeighed weighed) {
        return weighed.notLogged().stream()
                .filter(w -> w.kind() != Weighable.Kind.ADDITIVE)
                .map(w -> batch.names().of(w))
                .collect(Collectors.joining(", "));
    }

    private static BatchPage.Doubt doubt(Doubts.Open open, Batch batch, Formats formats) {
        LoggedEntry line = batch.log()
                .find(open.line())
                .orElseThrow(() -> new IllegalStateException("Impossible state: a doubt about no line"));
        return new BatchPage.Doubt(
                line.id(),
                line.current().number(),
                EntryWords.of(line.entry(), batch.names(), formats).text(),
                formats.phrase(open.doubt().words()));
    }

    List<BatchPage.Line> history(LoggedEntry line, Batch batch, Formats formats) {
        List<BatchPage.Line> history = new ArrayList<>();
        line.earlier().forEach(r -> history.add(line(line, r, batch, formats)));
        history.add(line(line, line.current(), batch, formats));
        return history;
    }

    BatchPage.Line line(LoggedEntry line, Batch batch, Formats formats) {
        return line(line, line.current(), batch, formats);
    }

    private static BatchPage.Line line(LoggedEntry line, LoggedEntry.Revision revision, Batch batch, Formats formats) {
        EntryWords words = EntryWords.of(revision.entry(), batch.names(), formats);
        return new BatchPage.Line(
                line.id(),
                revision.number(),
                Formats.duration(Duration.between(batch.log().begun(), revision.at())),
                formats.moment(revision.at()),
                words.mark(),
                words.text() + (revision.reason().isEmpty() ? "" : ", because: " + revision.reason()),
                revision.by(),
                line.wasAmended(),
                revision.withdrawn(),
                revision.entry() instanceof Entry.PhotoTaken p ? p.photo() : "");
    }

    private static List<BatchPage.Line> lines(Batch batch, Formats formats) {
        List<BatchPage.Line> lines = batch.log().all().stream()
                .map(l -> line(l, l.current(), batch, formats))
                .collect(Collectors.toCollection(ArrayList::new));
        Collections.reverse(lines);
        return lines;
    }

    private static String facts(Batch batch, Formats formats) {
        String mould =
                batch.plan().mould() == null ? "" : ", " + batch.plan().mould().name();
        return formats.roughMass(batch.plan().formula().fatMass()) + " of fats" + mould;
    }

    private BatchPage.@Nullable Line givenUp(Batch batch, Formats formats) {
        return batch.log()
                .last(Entry.Abandoned.class)
                .flatMap(a -> batch.log().find(a.id()))
                .map(l -> line(l, batch, formats))
                .orElse(null);
    }

    private static BatchPage.@Nullable Section section(Batch batch, LoafEnsemble loaf, Formats formats, Instant now) {
        Instant poured = batch.log().first(Entry.Poured.class).orElseThrow().at();
        double pouredMinutes =
                Math.max(1, Duration.between(batch.log().begun(), poured).toSeconds() / 60.0);
        double nowMinutes = Duration.between(batch.log().begun(), now).toSeconds() / 60.0;
        LogTimeAxis axis = StripLayout.axisOf(batch, now);
        LoafSection section =
                LoafSection.of(loaf.middle(), axis, pouredMinutes, Math.max(pouredMinutes + 1, nowMinutes));
        return SectionWords.of(section, batch, formats);
    }

    private static String degrees(double celsius, Formats formats) {
        return Formats.number(formats.degrees(Temperature.celsius(celsius)), 0);
    }

    private static String sectionWords(LoafEnsemble loaf, Formats formats) {
        return "Peak, by the plan and all readings, "
                + degrees(loaf.peakBand().low(), formats) + " to "
                + degrees(loaf.peakBand().high(), formats) + " " + formats.temperatureUnit()
                + ". Gel full " + Formats.counted(loaf.probabilityOf(Extent.FULL))
                + ", partial " + Formats.counted(loaf.probabilityOf(Extent.PARTIAL))
                + ", none " + Formats.counted(loaf.probabilityOf(Extent.NONE))
                + ", each to " + Formats.number(100 * LoafEnsemble.standardErrorShare(0.5), 0)
                + " points, of what the model can be wrong in."
                + (loaf.middle().boiledOff() > 0 ? " It comes near boiling: steam, foam, cracks." : "");
    }
}
