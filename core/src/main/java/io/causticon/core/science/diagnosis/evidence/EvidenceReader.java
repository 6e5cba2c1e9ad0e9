package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Behaviour;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.TouchFeel;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.making.TracePace;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Turns a log into findings. A finding is counted once, however often it was logged: what the maker said of it herself
 * comes before what follows from other lines, a later look before an earlier one, except that a sign of a hazard is
 * never overwritten by a later calm; only what burned before it could be looked at, while the soap was still being
 * made, is. What was measured counts each time. Of what hides in single bars both count: where it was, and on how many
 * other bars it was not.
 */
public final class EvidenceReader {

    private static final double HIGH_STRIP = 11;

    /** Of a one per cent solution: soap alone lies at 9.7, with a point of alkali too much it passes this. */
    static final double HIGH_SOLUTION = 10.4;

    /** Another bar that is clean says nothing of the one that was not. */
    static final Set<Finding> INSIDE_ONE_BAR = Set.of(Findings.WHITE_SPOTS, Findings.WEEPING_DOTS);

    /** What says more with each other bar on which it was not there: a second wash too. */
    static final Set<Finding> COUNTED_BY_BARS =
            Set.of(Findings.WHITE_SPOTS, Findings.WEEPING_DOTS, Findings.BURNS_AGAIN, Findings.WASH_BURNS);

    /** What tells of alkali whoever's hand it is. */
    private static final Set<Finding> ALKALI_ITSELF = Set.of(
            Findings.ZAP,
            Findings.FREE_ALKALI,
            Findings.METER_HIGH,
            Findings.PINK_DROP,
            Findings.WHITE_SPOTS,
            Findings.WEEPING_DOTS);

    private static final Duration AT_ONCE = Duration.ofMinutes(2);

    /** What an ingredient did is seen in the batter or the bar. */
    private static final Map<Behaviour, String> DID = Map.of(
            Behaviour.MOVED, "thick-early",
            Behaviour.SLOWED, "thin-late",
            Behaviour.RICED, "riced-grains",
            Behaviour.SEIZED, "solid-at-once",
            Behaviour.CURDLED, "curds",
            Behaviour.BROWNED, "browned",
            Behaviour.MORPHED, "colour-turned",
            Behaviour.FADED, "weak-scent");

    private static final Finding THICK_EARLY = Findings.named("thick-early");
    private static final Finding THIN_LATE = Findings.named("thin-late");

    /**
     * Standard deviations from the expected logarithm of the minutes beyond which a batter was early or late: as rare
     * among those that nothing is the matter with, three in a hundred and two in a hundred, as the knowledge takes for
     * the two findings where they happen anyway.
     */
    private static final double SOONER = -1.88;

    private static final double LATER = 2.05;

    private final Map<Finding, Evidence> found = new LinkedHashMap<>();

    /** Each reading of an instrument: a later one says more, and takes nothing back. */
    private final List<Evidence> measured = new ArrayList<>();

    private final Samples samples = new Samples();
    private final BatchFacts facts;
    private final Instant begun;

    private EvidenceReader(BatchFacts facts) {
        this.facts = facts;
        this.begun = facts.soapSince().orElse(facts.log().begun());
    }

    /** All evidence in the order in which it came; of a batch that was melted down again, since then. */
    public static List<Evidence> read(BatchFacts facts) {
        Instant since = facts.rebatchedAt().orElse(facts.log().begun());
        EvidenceReader reader = new EvidenceReader(facts);
        facts.log().entries().stream()
                .filter(e -> facts.rebatchedAt().isEmpty() || e.at().isAfter(since))
                .forEach(reader::read);
        facts.addedJustBefore(Stage.THICK, AT_ONCE)
                .filter(what -> facts.rebatchedAt().isEmpty())
                .ifPresent(what -> reader.solidAfter(what, facts.log().entries()));
        TracePace.of(facts).filter(p -> facts.rebatchedAt().isEmpty()).ifPresent(reader::pace);
        reader.again();
        reader.settle();
        return Stream.of(reader.found.values().stream().map(reader::counted), reader.measured.stream(), reader.beside())
                .flatMap(e -> e)
                .sorted(Comparator.comparing(Evidence::at)
                        .thenComparing(e -> e.finding().id()))
                .toList();
    }

    /**
     * That fats and lye parted is told by a look at the top; that they did not, by the faces of several bars and a
     * titration alone.
     */
    private void settle() {
        if (ClosedIn.of(facts).isSettled()) {
            found.replaceAll((finding, e) -> e.isPresent() && ClosedIn.isParting(finding) ? e.asSettled() : e);
        }
    }

    /**
     * Where spots were seen on one bar, the others that were clean. In such a loaf they say half of what they say of
     * one where nothing was seen: where a pocket is there may be more (a judgement; drawn loaves with pockets pass the
     * gate no oftener for it).
     */
    private Stream<Evidence> beside() {
        return INSIDE_ONE_BAR.stream()
                .filter(f -> found.containsKey(f) && found.get(f).isPresent())
                .flatMap(f -> {
                    Instant meant = meant(f);
                    int clean = samples.barsBeside(f, meant);
                    return clean == 0
                            ? Stream.empty()
                            : samples.lastClean(f, meant).stream()
                                    .map(at -> new Evidence(
                                            f,
                                            Presence.LOOKED_AND_ABSENT,
                                            at,
                                            Evidence.Source.MAKER,
                                            f.absent()
                                                    + (clean == 1 ? " on another bar" : " on " + clean + " other bars"),
                                            OptionalDouble.empty(),
                                            OptionalDouble.empty(),
                                            (clean + 1) / 2,
                                            false,
                                            false));
                });
    }

    /**
     * A second wash says more than the first alone, whichever way it went; but that it was calm does not put a burn
     * down to one hand's skin while something else speaks for alkali.
     */
    private void again() {
        Evidence first = found.get(Findings.WASH_BURNS);
        if (first != null && first.isPresent() && !found.containsKey(Findings.BURNS_AGAIN)) {
            samples.ofAnotherBar(Findings.WASH_BURNS, meant(Findings.WASH_BURNS))
                    .filter(s -> s.presence() == Presence.SEEN || !somethingElseSpeaks())
                    .ifPresent(second -> log(
                            Findings.BURNS_AGAIN,
                            second.presence() == Presence.SEEN,
                            second.at(),
                            second.presence() == Presence.SEEN
                                    ? "another wash burned as well"
                                    : "another wash was calm"));
        }
    }

    private boolean somethingElseSpeaks() {
        return Stream.concat(found.values().stream(), measured.stream())
                .anyMatch(e -> e.isPresent() && !e.early() && ALKALI_ITSELF.contains(e.finding()));
    }

    private void read(LoggedEntry line) {
        Entry entry = line.entry();
        if (entry instanceof Entry.Observed o) {
            Findings.find(o.finding()).ifPresent(f -> {
                samples.add(f, o.presence(), line.at(), o.on());
                say(f, o.presence(), line.at(), Evidence.Source.MAKER, null);
            });
        } else if (entry instanceof Entry.PhRead ph) {
            readPh(ph, line.at());
        } else if (entry instanceof Entry.WashTested wash) {
            if (wash.feel() != WashFeel.TIGHT) {
                samples.add(
                        Findings.WASH_BURNS,
                        wash.feel() == WashFeel.BURNING ? Presence.SEEN : Presence.LOOKED_AND_ABSENT,
                        line.at(),
                        wash.on());
            }
            readWash(wash.feel(), line.at());
        } else if (entry instanceof Entry.TouchTested touch) {
            readTouch(touch.feel(), line.at());
        } else if (entry instanceof Entry.Titrated t) {
            String words = String.format(Locale.ROOT, "titrated: %.2f %% free alkali", t.freeAlkaliPercent());
            measured(
                    Findings.FREE_ALKALI,
                    FreeAlkali.isBeyondLimit(t, facts, line.at()),
                    line.at(),
                    words,
                    t.freeAlkaliPercent(),
                    FreeAlkali.smallestError(t));
        } else if (entry instanceof Entry.GelSeen gel) {
            log(
                    Findings.GEL_HALFWAY,
                    gel.extent() == GelExtent.PARTIAL,
                    line.at(),
                    "gel seen: " + gel.extent().name().toLowerCase(Locale.ROOT));
        } else if (entry instanceof Entry.StageReached stage) {
            if (!ClosedIn.isStirredBack(stage.stage(), line.at(), facts.log())) {
                readStage(stage.stage(), line.at());
            }
        } else if (entry instanceof Entry.Behaved did) {
            String seen = DID.get(did.how());
            if (seen != null) {
                log(
                        Findings.named(seen),
                        true,
                        line.at(),
                        did.what().name() + ": " + Findings.named(seen).words());
            }
        }
    }

    private void readStage(Stage stage, Instant at) {
        switch (stage) {
            case SEPARATED -> log(Findings.OIL_LAYER, true, at, "separated in the pot");
            case RICED -> log(Findings.named("riced-grains"), true, at, "riced in the pot");
            case CURDLED -> log(Findings.CURDS, true, at, "curds in the pot");
            case FALSE_TRACE -> log(Findings.named("grainy-cool"), true, at, "false trace in the pot");
            case FROTHY -> log(Findings.named("froth"), true, at, "frothy in the pot");
            default -> {}
        }
    }

    private void readPh(Entry.PhRead ph, Instant at) {
        boolean strip = ph.method() == PhMethod.STRIP;
        String words = String.format(Locale.ROOT, strip ? "strip reads %s" : "1 %% solution, pen: %s", number(ph.ph()));
        if (strip) {
            log(Findings.STRIP_HIGH, ph.ph() >= HIGH_STRIP, at, words);
        } else {
            measured(Findings.METER_HIGH, ph.ph() >= HIGH_SOLUTION, at, words, ph.ph(), Measured.PEN);
        }
    }

    private void readWash(WashFeel feel, Instant at) {
        switch (feel) {
            case BURNING -> log(Findings.WASH_BURNS, true, at, "burning wash");
            case CALM -> log(Findings.WASH_BURNS, false, at, "calm wash");
            case TIGHT -> log(Findings.SKIN_TIGHT, true, at, "skin tight after a wash");
        }
    }

    private void readTouch(TouchFeel feel, Instant at) {
        switch (feel) {
            case FIRM -> log(Findings.DENTS, false, at, "firm to the touch");
            case SOFT -> log(Findings.DENTS, true, at, "soft to the touch");
            case STICKY -> log(Findings.TACKY, true, at, "sticky to the touch");
        }
    }

    private void solidAfter(String what, List<LoggedEntry> entries) {
        entries.stream()
                .filter(e ->
                        e.entry() instanceof Entry.StageReached s && s.stage().isAtLeast(Stage.THICK))
                .findFirst()
                .ifPresent(e -> log(Findings.SOLID_AT_ONCE, true, e.at(), "thick at once after " + what));
    }

    /** Where nobody said whether it moved early or late, the clock does. */
    private void pace(TracePace pace) {
        String words = String.format(
                Locale.ROOT,
                "%s trace after %.0f min, %.0f to %.0f were to be expected",
                pace.isLight() ? "light" : "past light",
                pace.minutes(),
                pace.expected().low(),
                pace.expected().high());
        if (pace.deviations() < SOONER && !found.containsKey(THICK_EARLY)) {
            log(THICK_EARLY, true, pace.at(), words);
        }
        // Whoever first looked when it was thick does not know when it was light.
        boolean late = pace.isLight() && pace.deviations() > LATER;
        if ((late || pace.deviations() < 0) && !found.containsKey(THIN_LATE)) {
            log(THIN_LATE, late, pace.at(), words);
        }
    }

    private void log(Finding finding, boolean present, Instant at, String words) {
        say(finding, present ? Presence.SEEN : Presence.LOOKED_AND_ABSENT, at, Evidence.Source.LOG, words);
    }

    private void measured(Finding finding, boolean present, Instant at, String words, double value, double error) {
        Presence presence = present ? Presence.SEEN : Presence.LOOKED_AND_ABSENT;
        measured.add(new Evidence(
                finding,
                presence,
                at,
                Evidence.Source.LOG,
                words,
                OptionalDouble.of(value),
                OptionalDouble.of(error),
                1,
                facts.soapSince().isPresent() ? !facts.isMeasurement(at) : at.isBefore(meant(finding)),
                false));
    }

    private void say(Finding finding, Presence presence, Instant at, Evidence.Source source, @Nullable String words) {
        String said = words != null ? words : presence == Presence.SEEN ? finding.words() : finding.absent();
        Evidence now = new Evidence(
                finding,
                presence,
                at,
                source,
                said,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                1,
                isEarly(finding, presence, at),
                false);
        found.merge(finding, now, this::stronger);
    }

    /** From when on looking for it means something; what is seen in the pot is seen before there is soap. */
    private Instant meant(Finding finding) {
        return finding.from().isZero() ? facts.log().begun() : begun.plus(finding.from());
    }

    /**
     * Skin tells something of a bar that is out of its mould and old enough; of one that was never poured, as far as
     * anybody knows.
     */
    private boolean isEarly(Finding finding, Presence presence, Instant at) {
        boolean onSkin =
                finding.group() == Finding.Group.SKIN && !finding.isMeasured() && !finding.equals(Findings.PINK_DROP);
        if (presence == Presence.SEEN && finding.group() != Finding.Group.SKIN) {
            // What is there is there, however early it is looked for.
            return false;
        }
        if (presence == Presence.LOOKED_AND_ABSENT && at.isAfter(begun.plus(finding.until()))) {
            // That it is not there now says nothing of whether it was.
            return true;
        }
        return onSkin && facts.wasPoured() ? !facts.isTestOnSkin(at) : at.isBefore(meant(finding));
    }

    private Evidence counted(Evidence evidence) {
        if (evidence.finding().equals(Findings.BURNS_AGAIN) && !evidence.isPresent()) {
            return evidence.on(samples.barsBeside(Findings.WASH_BURNS, meant(Findings.WASH_BURNS)));
        }
        Instant since = evidence.early() ? begun : meant(evidence.finding());
        return evidence.on(samples.bars(evidence.finding(), evidence.presence(), since));
    }

    private Evidence stronger(Evidence before, Evidence now) {
        boolean hazardSign = before.finding().group() == Finding.Group.SKIN
                || INSIDE_ONE_BAR.contains(before.finding())
                || ClosedIn.isParting(before.finding());
        boolean superseded = before.early() && !now.early();
        boolean rots =
                Unfit.isSign(before.finding()) && !now.at().isAfter(before.at().plus(Unfit.LOOK_AGAIN_AFTER));
        if ((hazardSign || rots) && before.isPresent() && !now.isPresent() && !superseded) {
            return before;
        }
        if (hazardSign && !before.isPresent() && !before.early() && now.isPresent() && now.early()) {
            // Somebody writes down later what she felt while it was still being made.
            return before;
        }
        boolean inferredOverSaid =
                before.source() == Evidence.Source.MAKER && now.source() == Evidence.Source.LOG && !now.isPresent();
        return inferredOverSaid ? before : now;
    }

    private static String number(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.format(Locale.ROOT, "%.1f", value);
    }
}
