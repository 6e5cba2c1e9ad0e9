package io.causticon.web.places.bench;

import io.causticon.core.model.log.DoubtKind;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.said.entry.EntryCheck;
import io.causticon.core.model.said.entry.Names;
import io.causticon.core.model.said.entry.Suggestion;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.TimeNotation;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.cook.CookWatch;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.making.PotAddition;
import io.causticon.core.workshop.assessment.Doubt;
import io.causticon.core.workshop.assessment.Doubts;
import io.causticon.core.workshop.assessment.Faces;
import io.causticon.web.shared.Redirect;
import io.causticon.web.shared.WhenWords;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Answers;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.Logbook;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The live batch. */
@Controller
@RequestMapping("/bench")
class BenchController {

    private final BatchService batches;
    private final Summaries summaries;
    private final BenchPages pages;
    private final Logbook logbook;
    private final ShelfService shelf;
    private final BenchDevices devices;
    private final Clock clock;

    BenchController(
            BatchService batches,
            Summaries summaries,
            BenchPages pages,
            Logbook logbook,
            ShelfService shelf,
            BenchDevices devices,
            Clock clock) {
        this.batches = batches;
        this.summaries = summaries;
        this.pages = pages;
        this.logbook = logbook;
        this.shelf = shelf;
        this.devices = devices;
        this.clock = clock;
    }

    /** What a form of the bench carries beside its own fields. */
    record Carried(
            String at, String step, String key, Long late, String rescue, String thick, String embeds, Boolean side) {

        Carried {
            at = at == null ? "" : at;
            step = BenchStep.named(step == null ? "" : step).map(BenchStep::id).orElse("");
            key = key == null ? "" : key;
            rescue = rescue == null ? "" : rescue;
            thick = thick == null ? "" : thick.trim();
            embeds = embeds == null ? "" : embeds.trim();
            side = Boolean.TRUE.equals(side);
            late = late == null ? 0L : Math.max(late, 0);
        }

        Carried at(String otherStep) {
            return new Carried(at, otherStep, key, late, rescue, thick, embeds, side);
        }

        Carried atNoStep() {
            return new Carried(at, "", key, late, rescue, thick, embeds, side);
        }
    }

    /**
     * What the quick line holds, or a button that stands for one.
     *
     * @param degrees a number typed beside the button
     * @param sure whether she was asked about it, and it is so
     * @param meant what it was said to mean, where that was asked; empty otherwise
     */
    record Typed(String quick, String degrees, boolean sure, String meant) {

        /** A number typed beside a button joins the words of the button: "lye" and "43.5" are "lye 43.5". */
        String line() {
            return meant.isBlank() ? (quick + " " + degrees).trim() : meant;
        }
    }

    @GetMapping
    String live(Model model) {
        List<BatchSummary> live = summaries.onTheBench();
        if (live.size() == 1) {
            return "redirect:/bench/" + live.get(0).id();
        }
        model.addAttribute("live", live);
        return "bench/none";
    }

    @GetMapping("/{id}")
    String show(@PathVariable UUID id, Model model, Maker maker, Carried carried) {
        return show(new BatchId(id), model, maker, carried, "", "");
    }

    /** Reads the quick line without logging it. */
    @GetMapping("/{id}/reading")
    String reading(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam String quick,
            @RequestParam(defaultValue = "") String at) {
        model.addAttribute("reading", logbook.read(new BatchId(id), quick, at, maker));
        return "bench/reading";
    }

    @PostMapping("/{id}/log")
    String log(@PathVariable UUID id, Model model, Maker maker, Typed typed, Carried carried) {
        BatchId batch = new BatchId(id);
        String line = typed.line();
        Batch now = batches.get(batch);
        Logbook.Reading reading = logbook.understand(now, line, carried.at(), waited(carried), maker);
        Optional<Question> question = typed.sure() || carried.late() > 0
                ? Optional.empty()
                : question(now, reading, step(now, carried.step()), maker);
        if (question.isPresent()) {
            model.addAttribute("question", question.get().words());
            model.addAttribute("asked", line);
            model.addAttribute("goOn", question.get().goOn());
            model.addAttribute("rather", question.get().rather());
            model.addAttribute("answered", question.get().answered());
            // It stands where what is missing can be tapped.
            return show(batch, model, maker, carried.at(question.get().step().id()), "", "");
        }
        BenchStep chosen = step(now, carried.step());
        boolean wasDone = chosen.isDone(now);
        try {
            Batch logged =
                    logbook.log(batch, reading, waited(carried), maker, carried.key(), () -> batterNow(batch, carried));
            // A line that ends the step it was logged at leads on to the next one.
            return back(id, !wasDone && chosen.isDone(logged) ? carried.atNoStep() : carried);
        } catch (ProblemsException e) {
            model.addAttribute("maybe", Logbook.maybe(e.problems(), line));
            return show(batch, model, maker, carried, typed.quick(), logbook.problem(e.problems(), maker));
        }
    }

    /**
     * A question and the step that it is about.
     *
     * @param goOn what says that it is taken as it is
     * @param rather what may have been meant instead
     * @param answered kinds of doubts that saying so answers
     */
    private record Question(BenchStep step, String words, String goOn, List<Suggestion> rather, String answered) {

        Question(BenchStep step, String words) {
            this(step, words, "Go on without", List.of(), "");
        }
    }

    /** What hardly ever is so, asked about before it is taken. */
    private Optional<Question> doubt(Batch batch, Entry entry, Instant at, BenchStep step, Maker maker) {
        Set<DoubtKind> said = Answers.ofTheForm().said();
        List<Doubt> doubts = Doubts.of(entry, at, batch.plan(), batch.log()).stream()
                .filter(d -> !said.contains(d.kind()))
                .toList();
        if (doubts.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Question(
                step,
                doubts.stream().map(d -> maker.formats().phrase(d.words())).collect(Collectors.joining(" ")),
                "It is so: log it",
                doubts.stream()
                        .flatMap(d -> d.meant().stream())
                        .map(m -> new Suggestion(
                                "No: "
                                        + EntryWords.of(m, batch.names(), maker.formats())
                                                .text(),
                                logbook.shorthand(batch, m, maker)))
                        .toList(),
                Answers.written(Stream.concat(said.stream(), doubts.stream().map(Doubt::kind))
                        .distinct()
                        .toList())));
    }

    /** What is asked before a step is left without something; what came late has happened already. */
    private Optional<Question> question(Batch batch, Logbook.Reading reading, BenchStep at, Maker maker) {
        for (Entry entry : reading.taken()) {
            List<PotAddition> missing = PotAddition.missingBefore(entry, batch.plan(), batch.log());
            if (!missing.isEmpty()) {
                return Optional.of(new Question(
                        entry instanceof Entry.LyeIntoFats ? BenchStep.MATCH : BenchStep.LYE,
                        "Not logged yet: "
                                + missing.stream()
                                        .map(a -> a.name() + ", "
                                                + maker.formats().mass(a.mass()) + ", "
                                                + WhenWords.ofAdditive(a.when()))
                                        .collect(Collectors.joining("; "))
                                + ". Put it in and tap it, or go on without."));
            }
            boolean clear = entry instanceof Entry.LyeClear;
            if (clear
                    && batch.log().first(Entry.PortionFed.class).isEmpty()
                    && batch.log().first(Entry.LyeClear.class).isEmpty()) {
                return Optional.of(
                        new Question(BenchStep.LYE, "No portion of lye is logged. Is all of it in and dissolved?"));
            }
            if (entry instanceof Entry.PotWeighed
                    && reading.at().isEmpty()
                    && batch.facts(clock.instant()).firstTakenOut().isPresent()) {
                return Optional.of(new Question(
                        BenchStep.POUR,
                        "Something was taken out of the pot already. What the full pot weighed tells slips"
                                + " apart only if it is logged for before that, as in \u201cpot 4.12 kg at"
                                + " 14:20\u201d. Keep this weight anyway?"));
            }
            if ((entry instanceof Entry.Poured || entry instanceof Entry.LayerPoured) && isUncooked(batch)) {
                return Optional.of(new Question(
                        BenchStep.COOK,
                        batch.plan().isRework()
                                ? "The mash was not seen even, or a scrap may have brought alkali and no calm"
                                        + " test is logged. Spoon it in all the same?"
                                : "No calm test of clear paste is logged: caustic paste burns, and goes on"
                                        + " working in the mould. Spoon it in all the same?"));
            }
            if (entry instanceof Entry.LyeIntoFats && BenchStep.isSecondFeedOpen(batch)) {
                return Optional.of(
                        new Question(BenchStep.LYE, "What joins the cooled lye is not all in. Pour without it?"));
            }
            Optional<Question> doubt = reading.taken().size() == 1
                    ? doubt(batch, entry, reading.at().orElseGet(clock::instant), at, maker)
                    : Optional.empty();
            if (doubt.isPresent()) {
                return doubt;
            }
        }
        return Optional.empty();
    }

    private boolean isUncooked(Batch batch) {
        Instant now = clock.instant();
        BatchFacts facts = batch.facts(now);
        return facts.isCooked()
                && CookWatch.of(facts, now)
                        .filter(w -> w.stage() == CookWatch.Stage.AFTER || w.stage() == CookWatch.Stage.DONE)
                        .isEmpty();
    }

    /** What is done with the batter: something goes in, a portion is taken, a part is poured. */
    record Done(String kind, String name, String portion, String mass, String planned, String lot) {

        Done {
            kind = kind == null ? "" : kind;
            name = name == null ? "" : name.trim();
        }

        /** What was typed, or as planned when nothing was. */
        @Nullable
        String amount() {
            return mass == null || mass.isBlank() ? planned : mass;
        }
    }

    @PostMapping("/{id}/batter")
    String batter(@PathVariable UUID id, Model model, Maker maker, Done form, Carried carried) {
        BatchId batch = new BatchId(id);
        try {
            if (form.name().isEmpty()) {
                throw ProblemsException.of("amount", ProblemKey.MISSING);
            }
            String amount = form.amount();
            Mass mass = amount == null || amount.isBlank() ? null : MassNotation.read("amount", amount, maker.units());
            if (mass != null) {
                check(form.name(), mass);
            }
            List<Entry> lines =
                    new ArrayList<>(List.of(entry(form, mass, batches.get(batch).names())));
            batterNow(batch, carried).ifPresent(t -> lines.add(new Entry.TemperatureRead(MeasurementPoint.BATTER, t)));
            logbook.log(batch, lines, carried.at(), waited(carried), maker, carried.key());
            return back(id, carried);
        } catch (ProblemsException e) {
            model.addAttribute("amount", form.mass());
            model.addAttribute("amountProblem", logbook.problem(e.problems(), maker));
            return show(batch, model, maker, carried, "", "");
        }
    }

    /** What a thermometer in the batter shows, for what is logged of this moment. */
    private Optional<Temperature> batterNow(BatchId batch, Carried carried) {
        return carried.at().isBlank() && carried.late() == 0 ? devices.batterNow(batch) : Optional.empty();
    }

    private static Entry entry(Done form, @Nullable Mass mass, Names names) {
        return switch (form.kind()) {
            case "take" -> new Entry.PortionTaken(names.portion(form.name()), mass);
            case "pour" -> new Entry.LayerPoured(names.portion(form.name()), mass);
            default ->
                new Entry.Added(
                        names.substance(form.name()),
                        mass,
                        blankToNull(form.portion()) == null ? null : names.portion(form.portion()),
                        blankToNull(form.lot()));
        };
    }

    private static @Nullable String blankToNull(@Nullable String text) {
        return text == null || text.isBlank() ? null : text.trim();
    }

    /** What the scale's form holds. */
    record Weighed(
            Weighable.@Nullable Kind kind,
            String what,
            String amount,
            String vessel,
            Tare tare,
            @Nullable Boolean again) {

        Weighed {
            what = what == null ? "" : what;
            amount = amount == null ? "" : amount;
            tare = tare == null ? Tare.NOT_SAID : tare;
        }

        /** @throws ProblemsException if nobody knows what it is */
        Weighable weighable(Batch batch) {
            Weighable weighable = new Weighable(kind == null ? Weighable.Kind.FAT : kind, what);
            if (kind == null || !weighable.isKnownTo(batch.plan(), batch.log().substances())) {
                throw ProblemsException.of("amount", ProblemKey.UNKNOWN_SUBSTANCE, what);
            }
            return weighable;
        }
    }

    @PostMapping("/{id}/weigh")
    String weigh(@PathVariable UUID id, Model model, Maker maker, Weighed form, Carried carried) {
        BatchId batch = new BatchId(id);
        try {
            Batch now = batches.get(batch);
            Weighable what = form.weighable(now);
            Mass mass = MassNotation.read("amount", form.amount(), maker.units());
            check(now.names().of(what), mass);
            Entry entry = Boolean.TRUE.equals(form.again())
                    ? new Entry.WeighedAgain(what, mass)
                    : new Entry.Weighed(
                            what,
                            mass,
                            form.tare(),
                            blankToNull(form.vessel()) == null
                                    ? null
                                    : shelf.knownVessels().called(form.vessel()));
            Instant when = logbook.moment(now, carried.at(), maker).orElseGet(clock::instant);
            Optional<Question> doubt =
                    carried.late() > 0 ? Optional.empty() : doubt(now, entry, when, BenchStep.WEIGH, maker);
            if (doubt.isPresent()) {
                model.addAttribute("question", doubt.get().words());
                model.addAttribute("asked", logbook.shorthand(now, entry, maker));
                model.addAttribute("goOn", doubt.get().goOn());
                model.addAttribute("rather", doubt.get().rather());
                model.addAttribute("answered", doubt.get().answered());
                model.addAttribute("amount", form.amount());
                model.addAttribute("amountOf", form.what());
                return show(batch, model, maker, carried.at("weigh"), "", "");
            }
            logbook.log(batch, entry, carried.at(), waited(carried), maker, carried.key());
            return back(id, carried);
        } catch (ProblemsException e) {
            return notWeighed(batch, model, maker, form, carried, logbook.problem(e.problems(), maker));
        }
    }

    /**
     * Told beside the field that it came from; what nobody knows, or was weighed meanwhile, has none, and stands in the
     * quick line.
     */
    private String notWeighed(BatchId id, Model model, Maker maker, Weighed form, Carried carried, String told) {
        model.addAttribute("amount", form.amount());
        model.addAttribute("amountOf", form.what());
        model.addAttribute("amountProblem", told);
        String view = show(id, model, maker, carried.at("weigh"), "", "");
        BenchPage.Weigh weigh = ((BenchPage) model.getAttribute("page")).weigh();
        if (weigh == null || !weigh.asksFor(form.what())) {
            model.addAttribute("quick", "weigh " + form.what() + " " + form.amount());
            model.addAttribute("problem", told);
        }
        return view;
    }

    /** Takes the last tap back. */
    @PostMapping("/{id}/undo")
    String undo(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam UUID line,
            @RequestParam int revision,
            Carried carried) {
        BatchId batch = new BatchId(id);
        try {
            batches.withdraw(batch, line.toString(), revision, "", maker.displayName());
            return back(id, carried);
        } catch (ProblemsException e) {
            return show(batch, model, maker, carried, "", logbook.problem(e.problems(), maker));
        }
    }

    /** Gives a batch up that was not poured; it leaves the lists and can be brought back. */
    @PostMapping("/{id}/abandon")
    String abandon(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam(defaultValue = "") String reason,
            Carried carried) {
        BatchId batch = new BatchId(id);
        try {
            if (reason.isBlank()) {
                throw ProblemsException.of("reason", ProblemKey.MISSING);
            }
            batches.logIf(
                    batch,
                    BenchController::checkIsOnTheBench,
                    List.of(new Entry.Abandoned(reason.strip())),
                    clock.instant(),
                    maker.displayName(),
                    carried.key(),
                    Answers.NONE);
            return "redirect:/batch/" + id;
        } catch (ProblemsException e) {
            model.addAttribute("reason", reason);
            model.addAttribute("reasonProblem", logbook.problem(e.problems(), maker));
            return show(batch, model, maker, carried, "", "");
        }
    }

    private static void checkIsOnTheBench(Batch batch) {
        if (batch.life() != Life.BENCH || batch.isHeld()) {
            throw ProblemsException.of("reason", ProblemKey.NOT_ON_THE_BENCH);
        }
    }

    /** Signs the readiness list: only when everything on it was looked at. */
    @PostMapping("/{id}/ready")
    String ready(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam MultiValueMap<String, String> form,
            Carried carried) {
        BatchId batch = new BatchId(id);
        // Not as a list of its own: one tick whose words hold a comma would become two.
        List<String> check = form.getOrDefault("check", List.of());
        List<String> wanted = ReadyList.of(batches.get(batch)).checks();
        List<String> missing = wanted.stream().filter(w -> !check.contains(w)).toList();
        if (!missing.isEmpty()) {
            model.addAttribute("readyProblem", "Not yet looked at: " + String.join("; ", missing) + ".");
            model.addAttribute("readyTicked", check);
            return show(
                    batch,
                    model,
                    maker,
                    new Carried(carried.at(), "ready", carried.key(), carried.late(), "", "", "", false),
                    "",
                    "");
        }
        logbook.log(batch, new Entry.ReadyForLye(wanted), carried.at(), waited(carried), maker, carried.key());
        return back(id, new Carried(carried.at(), "", carried.key(), carried.late(), "", "", "", false));
    }

    /** The faces that are looked at when a loaf is cut were clean. */
    @PostMapping("/{id}/faces")
    String faces(@PathVariable UUID id, Model model, Maker maker, @RequestParam int faces, Carried carried) {
        BatchId batch = new BatchId(id);
        try {
            logbook.log(batch, Faces.clean(faces), carried.at(), waited(carried), maker, carried.key());
            return back(id, carried);
        } catch (ProblemsException e) {
            return show(batch, model, maker, carried, "", logbook.problem(e.problems(), maker));
        }
    }

    private static Duration waited(Carried carried) {
        return Duration.ofSeconds(carried.late());
    }

    private static void check(String what, Mass mass) {
        if (!mass.isPositive()) {
            throw ProblemsException.of("amount", ProblemKey.TOO_LOW, what, mass, Mass.ZERO);
        }
        if (mass.isMoreThan(EntryCheck.HEAVIEST)) {
            throw ProblemsException.of("amount", ProblemKey.TOO_HIGH, what, mass, EntryCheck.HEAVIEST);
        }
    }

    /**
     * Stays at the step if one was chosen, and at the moment if one was given by hand; "5 min ago" was meant for one
     * line only.
     */
    private static String back(UUID id, Carried carried) {
        boolean stays = !TimeNotation.isAgo(carried.at());
        return Redirect.to("/bench/" + id, "at", stays ? carried.at() : "", "step", carried.step());
    }

    private String show(BatchId id, Model model, Maker maker, Carried carried, String quick, String problem) {
        Batch batch = batches.get(id);
        model.addAttribute(
                "page",
                pages.page(
                        batch,
                        step(batch, carried.step()),
                        maker,
                        moment(batch, carried, maker),
                        shelf.knownVessels(),
                        shelf.lotLabels(),
                        new BenchPages.Asked(
                                carried.rescue(),
                                carried.thick(),
                                carried.embeds(),
                                carried.side(),
                                e -> String.join(
                                        " ",
                                        logbook.byField(e.problems(), maker).values()))));
        model.addAttribute("vessels", shelf.knownVessels().masses().keySet());
        model.addAttribute("devices", devices.at(id, maker));
        model.asMap().putIfAbsent("deviceProblem", "");
        model.asMap().putIfAbsent("maybe", List.of());
        model.addAttribute("freeDevices", devices.choices(id));
        model.addAttribute("spots", MeasurementPoint.values());
        model.addAttribute("quick", quick);
        model.addAttribute("problem", problem);
        model.addAttribute("at", carried.at());
        model.addAttribute("chosen", carried.step());
        model.addAttribute("key", UUID.randomUUID().toString());
        return "bench/bench";
    }

    private Optional<Instant> moment(Batch batch, Carried carried, Maker maker) {
        if (carried.at().isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    TimeNotation.read("at", carried.at(), batch.log().begun(), clock.instant(), maker.zone()));
        } catch (ProblemsException e) {
            return Optional.empty();
        }
    }

    private static BenchStep step(Batch batch, String chosen) {
        // Scraps have no lye pot, whatever the address says.
        return BenchStep.named(chosen)
                .filter(s -> BenchStep.road(batch, s).contains(s))
                .orElseGet(() -> BenchStep.of(batch));
    }
}
