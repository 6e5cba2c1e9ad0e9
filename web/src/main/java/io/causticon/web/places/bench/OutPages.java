package io.causticon.web.places.bench;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.MouldLook;
import io.causticon.core.model.mould.CutPlan;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.said.notation.EmbedNotation;
import io.causticon.core.model.said.notation.LengthNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.cure.Unmould;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.workshop.assessment.Faces;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.SvgPath;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** Words and draws how soap leaves its mould and becomes bars. */
final class OutPages {

    private static final double WIDTH = 640;
    private static final double SIDE = 14;
    private static final double TOP = 12;
    private static final double PETAL = 18;

    /** mm; less is a shaving. */
    private static final double LEAST_TRIM = 0.5;

    private static final double TALLEST = 220;
    private static final double LIKELY = 0.75;
    private static final double HARDLY = 0.15;
    private static final double THINNEST = 5;
    private static final double NARROW = 26;

    private final Batch batch;
    private final BatchFacts facts;
    private final BatchLog log;
    private final Formats formats;
    private final Instant now;
    private final BenchPages.Asked asked;

    OutPages(Batch batch, Maker maker, Instant now, BenchPages.Asked asked) {
        this.batch = batch;
        this.facts = batch.facts(now);
        this.log = batch.log();
        this.formats = maker.formats();
        this.now = now;
        this.asked = asked;
    }

    OutPage page() {
        Optional<Unmould> unmould = Unmould.of(facts, now);
        boolean out = log.first(Entry.Unmoulded.class).isPresent();
        boolean cut = log.first(Entry.Cut.class).isPresent();
        Mould mould = batch.plan().mould();
        boolean wire = mould != null && mould.kind().isCut();
        double along = wire ? along(mould) : 0;
        Typed<Double> thick =
                typed(() -> thickness(along), batch.plan().pouring().thickness(), asked.thick());
        Typed<List<CutPlan.Embed>> embeds =
                typed(() -> EmbedNotation.read("embeds", asked.embeds(), along), List.of(), asked.embeds());
        CutPlan plan = wire && along > 0 ? CutPlan.of(along, thick.value(), embeds.value()) : null;
        Mass batter = BatterAmount.of(batch.plan().formula()).mass();
        List<OutPage.Bar> bars = plan == null ? List.of() : bars(plan, along, batter.times(1.0 / mould.cavities()));
        return new OutPage(
                facts.wasPoured(),
                out,
                cut,
                Faces.toLookAt(facts),
                says(unmould, out, cut),
                advice(unmould, out, cut),
                unmould.filter(u -> !out && !cut).map(this::figures).orElse(List.of()),
                plan == null ? null : drawing(mould, plan, along, embeds.value()),
                missed(plan, embeds.value()),
                plan == null ? "" : trimmed(plan, along, batter.times(1.0 / mould.cavities()), mould.cavities()),
                scraps(),
                asked.side(),
                bars,
                wire ? bars.size() * mould.cavities() : mould == null ? 1 : mould.cavities(),
                asked.thick().isBlank()
                        ? NumberNotation.write(batch.plan().pouring().thickness(), 1)
                        : asked.thick(),
                asked.embeds(),
                thick.problem(),
                embeds.problem());
    }

    private record Typed<T>(T value, String problem) {}

    private <T> Typed<T> typed(Supplier<T> read, T otherwise, String text) {
        if (text.isBlank()) {
            return new Typed<>(otherwise, "");
        }
        try {
            return new Typed<>(read.get(), "");
        } catch (ProblemsException e) {
            return new Typed<>(otherwise, asked.words().apply(e));
        }
    }

    private double thickness(double along) {
        double thick = LengthNotation.readMillimetres("thick", asked.thick());
        if (thick < THINNEST) {
            throw ProblemsException.of("thick", ProblemKey.TOO_LOW, "A bar", thick, THINNEST);
        }
        if (thick > along) {
            throw ProblemsException.of("thick", ProblemKey.TOO_HIGH, "A bar", thick, along);
        }
        return thick;
    }

    /** Of a standing tube as far as it is filled. */
    private double along(Mould mould) {
        BatterAmount batter = BatterAmount.of(batch.plan().formula());
        return mould.kind() == MouldKind.TUBE
                ? Math.min(mould.height(), mould.fillHeight(batter.mass(), batter.density()))
                : mould.length();
    }

    private String says(Optional<Unmould> unmould, boolean out, boolean cut) {
        int faces = Faces.toLookAt(facts);
        if (cut && faces > 0) {
            return "Cut. Now, while they are fresh, look at the faces of "
                    + (faces == 1 ? "a bar" : faces + " bars from different places")
                    + ": white spots, or dots that are wet?";
        }
        if (cut) {
            return "Cut. Bevel and stamp in an hour or two, when a stamp no longer sticks and an edge no longer"
                    + " crumbles.";
        }
        if (out) {
            return "Out of the mould. Cut it while it is as firm as a young cheese.";
        }
        if (unmould.isEmpty()) {
            return "It is not in the mould yet.";
        }
        Unmould u = unmould.get();
        if (u.readyNow() >= LIKELY) {
            return "It lets go by now, most likely: pull a side away. If that comes clean, out with it.";
        }
        if (u.readyNow() <= HARDLY) {
            return "Leave it: it would tear. Its kind lets go " + hours(u) + " after the pour.";
        }
        boolean later = hoursSince() < u.median();
        return "It may let go: press an edge, pull a side. If it dents or clings, wait: "
                + (later
                        ? "half of its kind let go by " + at(u.median())
                        : "nine of ten of its kind let go by " + at(u.hours().high()))
                + ".";
    }

    private List<String> advice(Optional<Unmould> unmould, boolean out, boolean cut) {
        List<String> advice = new ArrayList<>();
        advice.add("Gloves: it is not cured, and it may still be caustic.");
        unmould.filter(u -> !cut)
                .flatMap(Unmould::brittleAfter)
                .ifPresent(h -> advice.add(
                        "Much salt in it: from " + at(h) + " on it breaks at the wire. Cut before that, warm."));
        boolean clings = log.of(Entry.MouldTried.class)
                .reduce((a, b) -> b)
                .filter(t -> t.entry().look() == MouldLook.CLINGS)
                .isPresent();
        boolean frozen = log.has(Entry.Kept.class, k -> k.keeping() == MouldCare.FREEZER);
        if (!out && !cut && clings && !frozen) {
            advice.add(
                    "It is firm and clings all the same? One or two hours in the freezer shrink it off the wall; then"
                            + " out at once, before it sweats.");
        }
        if (!cut && !asked.embeds().isBlank()) {
            advice.add("Wipe the wire after each cut, so that colour is not drawn from one bar into the next.");
        }
        if (cut) {
            advice.add("Ash and an uneven top plane off. Holes are filled with trimmings, kneaded soft with a drop of"
                    + " water.");
        } else {
            advice.add(
                    asked.side()
                            ? "On its side the wire enters at one side of the loaf and leaves at the other: no topping"
                                    + " is drawn through it. Turn each bar up before it sticks."
                            : "Toppings that would be dragged through: lay the loaf on its side and cut from there.");
        }
        return advice;
    }

    private List<BenchPage.Figure> figures(Unmould u) {
        return List.of(
                new BenchPage.Figure("lets go", hours(u) + " after the pour"),
                new BenchPage.Figure(
                        "that is", at(u.hours().low()) + " to " + at(u.hours().high())),
                new BenchPage.Figure("by now", Formats.counted(u.readyNow())),
                new BenchPage.Figure(
                        "stands on",
                        u.tries() == 0
                                ? "its recipe alone"
                                : "its recipe and " + u.tries() + (u.tries() == 1 ? " try" : " tries")));
    }

    private double hoursSince() {
        return Duration.between(facts.poured().orElse(now), now).toSeconds() / 3600.0;
    }

    private static String hours(Unmould u) {
        return Formats.number(u.hours().low(), u.hours().low() < 10 ? 1 : 0) + " to "
                + Formats.number(u.hours().high(), u.hours().high() < 10 ? 1 : 0) + " h";
    }

    private String at(double hours) {
        Instant poured = facts.poured().orElse(now);
        return formats.moment(poured.plus(Duration.ofMinutes(Math.round(60 * hours))));
    }

    private String missed(CutPlan plan, List<CutPlan.Embed> embeds) {
        if (plan == null || embeds.isEmpty()) {
            return "";
        }
        return plan.nearest() < 0
                ? "One of them is cut or trimmed off whatever the cut: say another thickness, or turn the loaf."
                : "All of them stay whole; the nearest edge is " + Formats.number(plan.nearest(), 1)
                        + " mm from a cut.";
    }

    private List<OutPage.Bar> bars(CutPlan plan, double along, Mass loaf) {
        List<OutPage.Bar> bars = new ArrayList<>();
        for (int i = 0; i < plan.bars(); i++) {
            bars.add(new OutPage.Bar(
                    i + 1,
                    Formats.number(plan.cuts().get(i), 1),
                    Formats.number(plan.cuts().get(i + 1), 1),
                    formats.mass(loaf.times(plan.thickness() / along))));
        }
        return bars;
    }

    /** What the cuts leave over at the ends, of all loaves. */
    private String trimmed(CutPlan plan, double along, Mass loaf, int loaves) {
        double over = along - plan.bars() * plan.thickness();
        return over < LEAST_TRIM
                ? ""
                : Formats.number(over, 1) + " mm are left over at the ends, about "
                        + formats.roughMass(loaf.times(loaves * over / along)) + ": trimmings for the shelf.";
    }

    /** The last of each colour that was put aside. */
    private String scraps() {
        return facts.scrapsKept().entrySet().stream()
                .map(k -> formats.mass(k.getValue()) + " " + k.getKey())
                .collect(Collectors.joining(", "));
    }

    /** Petals and crumbs along the upper edge of a loaf that lies on its side. */
    private static void toppings(Drawing.Builder drawing, double wide) {
        SvgPath petals = new SvgPath().to(SIDE, TOP);
        int many = (int) Math.max(4, wide / PETAL);
        for (int i = 0; i < many; i++) {
            petals.to(SIDE + (i + 0.5) * wide / many, TOP - (i % 2 == 0 ? 7 : 4))
                    .to(SIDE + (i + 1) * wide / many, TOP);
        }
        drawing.path(petals.closed(), "fill-ink");
    }

    private Drawing drawing(Mould mould, CutPlan plan, double along, List<CutPlan.Embed> embeds) {
        double high = mould.kind() == MouldKind.TUBE
                ? mould.width()
                : Math.min(
                        mould.height(),
                        mould.fillHeight(
                                BatterAmount.of(batch.plan().formula()).mass(),
                                BatterAmount.of(batch.plan().formula()).density()));
        double scale = Math.min((WIDTH - 2 * SIDE) / along, TALLEST / high);
        double height = high * scale;
        String seen = asked.side()
                ? "The loaf on its side, seen from above, its top away from you"
                : "The loaf from its side";
        Drawing.Builder drawing =
                Drawing.sized(WIDTH, TOP + height + 44, seen + ", with " + plan.bars() + " bars and their cuts");
        drawing.rect(SIDE, TOP, along * scale, height, "fill-batter soft")
                .rect(SIDE, TOP, along * scale, height, "shell thin");
        if (asked.side()) {
            toppings(drawing, along * scale);
        }
        embeds.forEach(e -> drawing.rect(
                SIDE + (e.at() - e.wide() / 2) * scale,
                TOP + height * 0.3,
                e.wide() * scale,
                height * 0.4,
                "fill-ink"));
        plan.cuts().forEach(c -> drawing.line(SIDE + c * scale, TOP - 4, SIDE + c * scale, TOP + height + 4, "cut"));
        for (int i = 0; i < plan.bars(); i++) {
            double x = SIDE + plan.centres().get(i) * scale;
            drawing.line(x, TOP + height + 6, x, TOP + height + 13, "centre");
            if (plan.thickness() * scale >= NARROW || i % 2 == 0) {
                drawing.textMiddle(x, TOP + height + 30, Integer.toString(i + 1), "figure");
            }
        }
        return drawing.done();
    }
}
