package io.causticon.web.exchange.carry;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.said.entry.EntryKinds;
import io.causticon.core.model.said.entry.Names;
import io.causticon.core.model.said.entry.Tells;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.core.workshop.assessment.Hold;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LogTimeAxis;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Assessments;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.Documents;
import io.causticon.web.store.document.Row;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * A batch on paper, for a buyer, an inspector or whoever assesses its safety: plan, verdict, temperatures, what was
 * tested and, as plainly, what was not, pictures, and the log with every revision.
 */
@Component
class BatchFile {

    private static final double LEFT = 118;
    private static final double WHEN = 104;
    private static final double CHART = 170;
    private static final int MOST_PICTURES = 24;

    private static final Map<MeasurementPoint, Color> COLOURS = Map.of(
            MeasurementPoint.LYE, new Color(0x4d, 0x3f, 0xc0),
            MeasurementPoint.FATS, new Color(0x8a, 0x5a, 0x00),
            MeasurementPoint.BATTER, new Color(0x56, 0x74, 0x1b),
            MeasurementPoint.CORE, new Color(0xbb, 0x3f, 0x0a),
            MeasurementPoint.ROOM, new Color(0x5f, 0x70, 0x68));

    /** What an assessor asks for, and what is said where it is not there. */
    private static final Map<Class<? extends Entry>, String> LOOKED_AT = lookedAt();

    private final BatchService batches;
    private final Assessments assessments;
    private final Documents documents;
    private final Clock clock;

    BatchFile(BatchService batches, Assessments assessments, Documents documents, Clock clock) {
        this.batches = batches;
        this.assessments = assessments;
        this.documents = documents;
        this.clock = clock;
    }

    private static Map<Class<? extends Entry>, String> lookedAt() {
        Map<Class<? extends Entry>, String> all = new LinkedHashMap<>();
        all.put(Entry.Titrated.class, "free alkali was not titrated");
        all.put(Entry.PhRead.class, "pH was not read");
        all.put(Entry.TouchTested.class, "nobody felt its surface");
        all.put(Entry.WashTested.class, "nobody washed with it");
        all.put(Entry.BarWeighed.class, "no bar was weighed while it dried");
        all.put(Entry.PhotoTaken.class, "no picture was taken");
        all.put(Entry.HumidityRead.class, "the humidity of the room was not read");
        return all;
    }

    /** @return a PDF */
    byte[] of(UUID id, Maker maker) {
        Batch batch = batches.get(new BatchId(id));
        Formats formats = maker.formats();
        String written = maker.workshop() + ", " + batch.name() + " " + batch.code() + ", written "
                + formats.moment(clock.instant()) + " by " + maker.displayName();
        try (Paper paper = new Paper(batch.name() + " " + batch.code(), written)) {
            head(paper, batch, formats);
            plan(paper, batch, formats);
            temperatures(paper, batch, formats);
            tests(paper, batch, formats);
            pictures(paper, batch, formats);
            log(paper, batch, formats);
            paper.heading("What this is");
            paper.words(
                    "What the workshop wrote down, in the order in which it happened, with every amendment. It is no"
                            + " assessment of safety and no certificate: that is for whoever is trained for it, by the"
                            + " rules of the place where the soap is sold.");
            return paper.done();
        }
    }

    private void head(Paper paper, Batch batch, Formats formats) {
        paper.title(batch.name());
        paper.words(batch.code() + ", begun " + formats.moment(batch.log().begun()), Paper.QUIET, 0);
        if (batch.purpose() != Purpose.MADE) {
            paper.words("It was made for " + batch.purpose().name().toLowerCase(Locale.ROOT) + ".");
        }
        Assessment assessment = assessments.of(batch);
        if (assessment.isHeld()) {
            String why = assessment.hold().map(Hold::because).orElse("");
            String what = assessment.state() == Assessment.State.UNFIT
                    ? "NOT FOR USE OR SALE."
                    : "HELD. Not to be used or sold.";
            paper.words(what + (why.isBlank() ? "" : " Because: " + why), Paper.HAZARD, 0);
            return;
        }
        Optional<LoggedEntry> released = batch.log().entries().stream()
                .filter(l -> l.entry() instanceof Entry.Released)
                .reduce((a, b) -> b);
        if (assessment.life() == Life.ABANDONED) {
            paper.words("Given up.");
        } else if (released.isPresent() && assessment.life() == Life.READY) {
            paper.words("Released " + formats.moment(released.get().at()) + " by "
                    + released.get().current().by() + ".");
        } else {
            paper.words("Not released: it is " + assessment.state().words() + ".", Paper.HAZARD, 0);
        }
    }

    private void plan(Paper paper, Batch batch, Formats formats) {
        paper.heading("Formula");
        BatchPlan plan = batch.plan();
        AlkaliBalance balance = AlkaliBalance.of(plan.formula());
        if (plan.rework() != null) {
            plan.rework().scraps().forEach(s -> paper.row(formats.mass(s.mass()), s.name(), LEFT));
        }
        plan.formula()
                .fats()
                .forEach(f -> paper.row(
                        formats.mass(f.mass()),
                        f.fat().name()
                                + Optional.ofNullable(f.lot())
                                        .map(l -> ", lot " + l)
                                        .orElse(""),
                        LEFT));
        if (balance.naoh().isPositive()) {
            paper.row(formats.mass(balance.naoh()), "Sodium hydroxide", LEFT);
        }
        if (balance.koh().isPositive()) {
            paper.row(formats.mass(balance.koh()), "Potassium hydroxide", LEFT);
        }
        balance.liquids().forEach(l -> paper.row(formats.mass(l.mass()), l.words(), LEFT));
        plan.formula()
                .additives()
                .forEach(a -> paper.row(formats.mass(a.mass()), a.additive().name(), LEFT));
        paper.row("Superfat", "planned " + formats.percent(plan.formula().superfat(), 1) + weighed(batch), LEFT);
        if (!plan.formula().allergens().isEmpty()
                || !plan.formula().scentAllergens().isEmpty()) {
            paper.row(
                    "Allergens",
                    String.join(
                            ", ",
                            Stream.concat(plan.formula().allergens().stream(), plan.formula().scentAllergens().stream())
                                    .distinct()
                                    .toList()),
                    LEFT);
        }
    }

    private String weighed(Batch batch) {
        var facts = batch.facts(clock.instant());
        Estimate superfat = facts.asWeighed().superfat();
        return facts.asWeighed().isComplete()
                ? "; as weighed " + Formats.percent(superfat)
                : "; not every weighing was logged";
    }

    /** Temperatures over the time since it was begun, as the strip of its page has them. */
    private void temperatures(Paper paper, Batch batch, Formats formats) {
        List<LoggedEntry> read = batch.log().entries().stream()
                .filter(l -> l.entry() instanceof Entry.TemperatureRead)
                .toList();
        if (read.isEmpty()) {
            return;
        }
        paper.heading("Temperatures");
        double low = paper.drawing(CHART) + 16;
        double high = low + CHART - 24;
        double last =
                read.stream().mapToDouble(l -> minutes(batch, l.at())).max().orElse(1);
        LogTimeAxis axis =
                new LogTimeAxis(1, Math.max(120, last * 1.05), Paper.MARGIN + 34, Paper.WIDTH - Paper.MARGIN);
        double warmest = Math.max(
                60, Math.ceil(read.stream().mapToDouble(l -> celsius(l)).max().orElse(60) / 20) * 20);
        for (double degrees = 0; degrees <= warmest; degrees += 20) {
            double y = low + (high - low) * degrees / warmest;
            paper.line(List.of(Paper.MARGIN + 34, y, Paper.WIDTH - Paper.MARGIN, y), new Color(0xb9, 0xc8, 0xc0), 0.4);
            paper.put(
                    formats.temperature(io.causticon.core.quantity.Temperature.celsius(degrees)),
                    Paper.MARGIN,
                    y - 3,
                    8,
                    Paper.QUIET);
        }
        axis.ticks().forEach(t -> paper.put(t.label(), axis.x(t.minutes()) - 4, low - 14, 8, Paper.QUIET));
        for (MeasurementPoint spot : MeasurementPoint.values()) {
            curve(paper, batch, read, spot, axis, low, (high - low) / warmest);
        }
    }

    private void curve(
            Paper paper,
            Batch batch,
            List<LoggedEntry> read,
            MeasurementPoint spot,
            LogTimeAxis axis,
            double low,
            double perKelvin) {
        List<Double> points = new ArrayList<>();
        read.stream()
                .filter(l -> ((Entry.TemperatureRead) l.entry()).spot() == spot)
                .sorted(Comparator.comparing(LoggedEntry::at))
                .forEach(l -> {
                    points.add(axis.x(minutes(batch, l.at())));
                    points.add(low + perKelvin * Math.max(0, celsius(l)));
                });
        if (points.isEmpty()) {
            return;
        }
        Color colour = COLOURS.getOrDefault(spot, Paper.INK);
        paper.line(points, colour, 1);
        for (int i = 0; i < points.size(); i += 2) {
            paper.dot(points.get(i), points.get(i + 1), colour);
        }
        paper.put(
                spot.name().toLowerCase(Locale.ROOT),
                points.get(points.size() - 2) - 8,
                points.get(points.size() - 1) + 5,
                8,
                colour);
    }

    private static double celsius(LoggedEntry line) {
        return ((Entry.TemperatureRead) line.entry()).temperature().celsius();
    }

    private static double minutes(Batch batch, Instant at) {
        return Math.max(1, Duration.between(batch.log().begun(), at).toSeconds() / 60.0);
    }

    private void tests(Paper paper, Batch batch, Formats formats) {
        paper.heading("Tested and seen");
        Names names = batch.names();
        List<LoggedEntry> tests = batch.log().entries().stream()
                .filter(l -> EntryKinds.of(l.entry()).tells() == Tells.TESTS)
                .toList();
        tests.forEach(l -> paper.row(
                formats.moment(l.at()),
                EntryWords.of(l.entry(), names, formats).text() + " ("
                        + l.current().by() + ")",
                WHEN));
        List<String> missing = new ArrayList<>();
        LOOKED_AT.forEach((type, words) -> {
            if (batch.log().entries().stream().noneMatch(l -> type.isInstance(l.entry()))) {
                missing.add(words);
            }
        });
        if (!missing.isEmpty()) {
            paper.words("Not looked at, or not written down: " + String.join("; ", missing) + ".", Paper.HAZARD, 0);
        }
    }

    private void pictures(Paper paper, Batch batch, Formats formats) {
        List<byte[]> jpegs = new ArrayList<>();
        List<String> words = new ArrayList<>();
        Map<String, String> captions = new LinkedHashMap<>();
        batch.log()
                .of(Entry.PhotoTaken.class)
                .forEach(p -> captions.put(
                        p.entry().photo(),
                        formats.moment(p.at()) + " " + p.entry().caption()));
        for (Row photo : documents.rows(DocumentKind.BATCH, batch.id().value())) {
            if (photo.table().name().equals("photo")
                    && captions.containsKey(photo.key().toString())
                    && jpegs.size() < MOST_PICTURES) {
                ByteArrayOutputStream out = new ByteArrayOutputStream();
                documents.picture(photo.required("image").toString(), out);
                jpegs.add(out.toByteArray());
                words.add(captions.get(photo.key().toString()));
            }
        }
        if (!jpegs.isEmpty()) {
            paper.heading("Pictures");
            paper.pictures(jpegs, words);
        }
    }

    private void log(Paper paper, Batch batch, Formats formats) {
        paper.heading("The log");
        Names names = batch.names();
        batch.log().all().stream().sorted(Comparator.comparing(LoggedEntry::at)).forEach(line -> {
            LoggedEntry.Revision now = line.current();
            String said = EntryWords.of(now.entry(), names, formats).text() + " (" + now.by() + ")";
            paper.row(formats.moment(now.at()), now.withdrawn() ? "Taken back: " + said : said, WHEN);
            if (now.withdrawn() && !now.reason().isBlank()) {
                paper.words("because: " + now.reason(), Paper.QUIET, WHEN);
            }
            line.earlier()
                    .forEach(r -> paper.words(
                            "before, written " + formats.moment(r.recordedAt()) + " by " + r.by() + ": "
                                    + EntryWords.of(r.entry(), names, formats).text(),
                            Paper.QUIET,
                            WHEN));
        });
    }
}
