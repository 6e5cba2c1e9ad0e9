package io.causticon.web.bench;

import io.causticon.core.notation.MassNotation;
import io.causticon.core.notation.TimeNotation;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Life;
import io.causticon.core.observation.Spot;
import io.causticon.core.observation.Tare;
import io.causticon.core.observation.Weighable;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchService;
import io.causticon.web.batch.EntryWords;
import io.causticon.web.batch.Logbook;
import io.causticon.web.device.BenchDevices;
import io.causticon.web.shelf.ShelfService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The live batch. */
@Controller
@RequestMapping("/bench")
class BenchController {

    private static final Mass HEAVIEST = Mass.grams(50_000);

    private final BatchService batches;
    private final BenchPages pages;
    private final Logbook logbook;
    private final ShelfService shelf;
    private final BenchDevices devices;
    private final Clock clock;

    BenchController(BatchService batches, BenchPages pages, Logbook logbook, ShelfService shelf, BenchDevices devices, Clock clock) {
        this.batches = batches;
        this.pages = pages;
        this.logbook = logbook;
        this.shelf = shelf;
        this.devices = devices;
        this.clock = clock;
    }

    /** What a form of the bench carries beside its own fields. */
    record Carried(String at, String step, String key, Long late, String rescue) {

        Carried {
            at = at == null ? "" : at;
            step = step == null ? "" : step;
            rescue = rescue == null ? "" : rescue;
            late = late == null ? 0L : Math.max(late, 0);
        }

        Carried atNoStep() {
            return new Carried(at, "", key, late, rescue);
        }
    }

    @GetMapping
    String live(Model model) {
        List<Batch> live = batches.all().stream().filter(b -> b.life() == Life.BENCH).toList();
        if (live.size() == 1) {
            return "redirect:/bench/" + live.get(0).id();
        }
        model.addAttribute("live", live);
        return "bench/none";
    }

    @GetMapping("/{id}")
    String show(
            @PathVariable UUID id,
            Model model,
            @ModelAttribute("maker") Maker maker,
            Carried carried) {
        return show(new BatchId(id), model, maker, carried, "", "");
    }

    /** Reads the quick line without logging it. */
    @GetMapping("/{id}/reading")
    String reading(
            @PathVariable UUID id,
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam String quick,
            @RequestParam(defaultValue = "") String at) {
        model.addAttribute("reading", logbook.read(new BatchId(id), quick, at, maker));
        return "bench/reading";
    }

    @PostMapping("/{id}/log")
    String log(
            @PathVariable UUID id,
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam String quick,
            @RequestParam(defaultValue = "") String degrees,
            Carried carried) {
        BatchId batch = new BatchId(id);
        BenchStep chosen = step(batches.get(batch), carried.step());
        boolean wasDone = chosen.isDone(batches.get(batch));
        try {
            // A number typed beside a button joins the words of the button: "lye" and "43.5" are "lye 43.5".
            logbook.log(
                    batch,
                    (quick + " " + degrees).trim(),
                    carried.at(),
                    waited(carried),
                    maker,
                    carried.key(),
                    batterNow(batch, carried));
            // A line that ends the step it was logged at leads on to the next one.
            return back(id, !wasDone && chosen.isDone(batches.get(batch)) ? carried.atNoStep() : carried);
        } catch (ProblemsException e) {
            return show(batch, model, maker, carried, quick, logbook.problem(e.problems(), maker));
        }
    }

    /** What is done with the batter: something goes in, a portion is taken, a part is poured. */
    record Done(String kind, String name, String portion, String mass, String planned, String lot) {

        /** What was typed, or as planned when nothing was. */
        @Nullable String amount() {
            return mass == null || mass.isBlank() ? planned : mass;
        }
    }

    @PostMapping("/{id}/batter")
    String batter(
            @PathVariable UUID id, Model model, @ModelAttribute("maker") Maker maker, Done form, Carried carried) {
        BatchId batch = new BatchId(id);
        try {
            String amount = form.amount();
            Mass mass = amount == null || amount.isBlank() ? null : MassNotation.read("amount", amount, maker.units());
            if (mass != null) {
                check(form.name(), mass);
            }
            List<Entry> lines = new ArrayList<>(List.of(entry(form, mass)));
            batterNow(batch, carried).ifPresent(t -> lines.add(new Entry.TemperatureRead(Spot.BATTER, t)));
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

    private static Entry entry(Done form, @Nullable Mass mass) {
        return switch (form.kind()) {
            case "take" -> new Entry.PortionTaken(form.name(), mass);
            case "pour" -> new Entry.LayerPoured(form.name(), mass);
            default -> new Entry.Added(form.name(), mass, blankToNull(form.portion()), blankToNull(form.lot()));
        };
    }

    private static @Nullable String blankToNull(@Nullable String text) {
        return text == null || text.isBlank() ? null : text.trim();
    }

    /** What the scale's form holds. */
    record Weighed(Weighable.Kind kind, String what, String amount, String vessel, Tare tare, @Nullable Boolean again) {}

    @PostMapping("/{id}/weigh")
    String weigh(
            @PathVariable UUID id,
            Model model,
            @ModelAttribute("maker") Maker maker,
            Weighed form,
            Carried carried) {
        BatchId batch = new BatchId(id);
        try {
            Weighable what = new Weighable(form.kind(), form.what());
            Mass mass = MassNotation.read("amount", form.amount(), maker.units());
            check(EntryWords.name(what), mass);
            String vessel = form.vessel() == null || form.vessel().isBlank() ? null : form.vessel().trim();
            Entry entry = Boolean.TRUE.equals(form.again())
                    ? new Entry.WeighedAgain(what, mass)
                    : new Entry.Weighed(what, mass, form.tare(), vessel);
            logbook.log(batch, entry, carried.at(), waited(carried), maker, carried.key());
            return back(id, carried);
        } catch (ProblemsException e) {
            model.addAttribute("amount", form.amount());
            model.addAttribute("amountOf", form.what());
            model.addAttribute("amountProblem", logbook.problem(e.problems(), maker));
            return show(batch, model, maker, carried, "", "");
        }
    }

    /** Signs the readiness list: only when everything on it was looked at. */
    @PostMapping("/{id}/ready")
    String ready(
            @PathVariable UUID id,
            Model model,
            @ModelAttribute("maker") Maker maker,
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
            return show(batch, model, maker, new Carried(carried.at(), "ready", carried.key(), carried.late(), ""), "", "");
        }
        logbook.log(batch, new Entry.ReadyForLye(wanted), carried.at(), waited(carried), maker, carried.key());
        return back(id, new Carried(carried.at(), "", carried.key(), carried.late(), ""));
    }

    private static Duration waited(Carried carried) {
        return Duration.ofSeconds(carried.late());
    }

    private static void check(String what, Mass mass) {
        if (!mass.isPositive()) {
            throw ProblemsException.of("amount", ProblemKey.TOO_LOW, what, mass, Mass.ZERO);
        }
        if (mass.isMoreThan(HEAVIEST)) {
            throw ProblemsException.of("amount", ProblemKey.TOO_HIGH, what, mass, HEAVIEST);
        }
    }

    /** Stays at the step if one was chosen, and at the moment if one was given by hand; "5 min ago" was meant for one line only. */
    private static String back(UUID id, Carried carried) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/bench/" + id);
        if (!carried.at().isBlank() && !TimeNotation.isAgo(carried.at())) {
            address.queryParam("at", carried.at());
        }
        if (!carried.step().isBlank()) {
            address.queryParam("step", carried.step());
        }
        return "redirect:" + address.build().toUriString();
    }

    private String show(BatchId id, Model model, Maker maker, Carried carried, String quick, String problem) {
        Batch batch = batches.get(id);
        model.addAttribute("page", pages.page(
                batch, step(batch, carried.step()), maker, moment(batch, carried, maker), shelf.vesselMasses(), shelf.lotLabels(), carried.rescue()));
        model.addAttribute("vessels", shelf.vesselMasses().keySet());
        model.addAttribute("devices", devices.at(id, maker));
        model.asMap().putIfAbsent("deviceProblem", "");
        model.addAttribute("freeDevices", devices.choices(id));
        model.addAttribute("spots", Spot.values());
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
            return Optional.of(TimeNotation.read(
                    "at", carried.at(), batch.log().begun(), clock.instant(), maker.zone()));
        } catch (ProblemsException e) {
            return Optional.empty();
        }
    }

    private static BenchStep step(Batch batch, String chosen) {
        try {
            return chosen.isBlank() ? BenchStep.of(batch) : BenchStep.valueOf(chosen.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            return BenchStep.of(batch);
        }
    }
}
