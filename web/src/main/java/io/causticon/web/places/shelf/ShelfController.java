package io.causticon.web.places.shelf;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.science.loaf.LoafExpectation;
import io.causticon.core.science.loaf.LoafKnowledge;
import io.causticon.core.science.making.IngredientMemory;
import io.causticon.web.shared.AtOnce;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.MemoryWords;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.LoafMemory;
import io.causticon.web.store.batch.MixMemory;
import io.causticon.web.store.batch.Scrap;
import io.causticon.web.store.batch.Scraps;
import io.causticon.web.store.shelf.Lot;
import io.causticon.web.store.shelf.Pantry;
import io.causticon.web.store.shelf.ShelfForm;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The shelf: what the workshop has, measured and bought. */
@Controller
@RequestMapping("/shelf")
class ShelfController {

    /** What a fragrance can do, by the names of the tables, as the maker says it. */
    private static final Map<String, String> BEHAVIOURS = behaviours();

    private static final String SCRAP = "scrap";

    /** Of those in which it did something, and of the others. */
    private static final int USES_SHOWN = 6;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private final ShelfService shelf;
    private final ProblemWords words;
    private final MixMemory mixes;
    private final LoafMemory loaves;
    private final Scraps scraps;
    private final Clock clock;

    ShelfController(
            ShelfService shelf, ProblemWords words, MixMemory mixes, LoafMemory loaves, Scraps scraps, Clock clock) {
        this.shelf = shelf;
        this.words = words;
        this.mixes = mixes;
        this.loaves = loaves;
        this.scraps = scraps;
        this.clock = clock;
    }

    /** A line of a list on the shelf. */
    record Line(String kind, String id, String name, String facts, boolean warn) {}

    /** A choice of a list. */
    record Choice(String value, String name) {}

    @GetMapping
    String show(Model model, Maker maker) {
        return show(model, maker, "", Map.of(), Map.of());
    }

    @PostMapping("/{kind:mould|vessel|fat|fragrance|lot|scrap}")
    String add(Model model, Maker maker, @PathVariable String kind, @RequestParam MultiValueMap<String, String> typed) {
        ShelfForm form = new ShelfForm(typed.toSingleValueMap(), maker.units());
        try {
            AtOnce.named("name", form.name(), () -> add(kind, form, typed));
            return "redirect:/shelf#" + kind;
        } catch (ProblemsException e) {
            return show(model, maker, kind, typed.toSingleValueMap(), words.byField(e.problems(), maker.formats()));
        }
    }

    private void add(String kind, ShelfForm form, MultiValueMap<String, String> typed) {
        switch (kind) {
            case "mould" -> shelf.addOwnMould(form.mould());
            case "vessel" -> shelf.addVessel(form.vessel());
            case "fat" -> {
                ShelfForm.OwnFat fat = form.fat(shelf.pantry());
                shelf.addFat(fat.name(), fat.likeId(), fat.saponification(), fat.iodine(), fat.animal());
            }
            case "fragrance" ->
                shelf.addFragrance(form.fragrance(typed.getOrDefault("behaviour", List.of()).stream()
                        .filter(BEHAVIOURS::containsKey)
                        .toList()));
            case "scrap" -> {
                ShelfForm.OwnScrap scrap = form.scrap(shelf.pantry());
                scraps.add(scrap.name(), scrap.colour(), scrap.mass(), scrap.mainFat(), scrap.superfat());
            }
            default -> shelf.addLot(form.lot(shelf.pantry()));
        }
    }

    @PostMapping("/away")
    String putAway(@RequestParam String kind, @RequestParam String id) {
        if (SCRAP.equals(kind)) {
            scraps.setAway(id, true);
        } else {
            shelf.putAway(kind, id);
        }
        return "redirect:/shelf#" + kind;
    }

    @PostMapping("/back")
    String bringBack(Model model, Maker maker, @RequestParam String kind, @RequestParam String id) {
        try {
            if (SCRAP.equals(kind)) {
                scraps.setAway(id, false);
            } else {
                shelf.bringBack(kind, id);
            }
            return "redirect:/shelf#" + kind;
        } catch (ProblemsException e) {
            return show(model, maker, "back", Map.of(), words.byField(e.problems(), maker.formats()));
        }
    }

    private String show(
            Model model, Maker maker, String tried, Map<String, String> typed, Map<String, String> problems) {
        Pantry pantry = shelf.pantry();
        LocalDate today = LocalDate.ofInstant(clock.instant(), maker.zone());
        Formats formats = maker.formats();
        model.addAttribute(
                "moulds",
                lines("mould", pantry.moulds().stream().map(m -> mould(m, loaves.known(maker.room()), formats))));
        model.addAttribute(
                "vessels",
                lines(
                        "vessel",
                        pantry.vessels().stream()
                                .map(v -> new Line(
                                        "vessel",
                                        v.name(),
                                        v.name(),
                                        formats.mass(v.mass()) + " empty, " + spoken(v.material()),
                                        v.material().isAttackedByAlkali()))));
        model.addAttribute(
                "fats",
                lines(
                        "fat",
                        pantry.catalogue().fats().stream()
                                .filter(f -> f.id().startsWith("own-"))
                                .map(ShelfController::fat)));
        model.addAttribute(
                "fragrances",
                lines(
                        "fragrance",
                        pantry.catalogue().additives().stream()
                                .filter(a -> a.id().startsWith("own-"))
                                .map(ShelfController::fragrance)));
        model.addAttribute("lots", lines("lot", pantry.lots().stream().map(l -> lot(l, pantry, maker, today))));
        model.addAttribute(
                "scraps",
                scraps.onTheShelf().stream().map(x -> scrap(x, formats)).toList());
        model.addAttribute(
                "away",
                Stream.concat(
                                shelf.away().stream(),
                                scraps.putAway().stream().map(x -> new ShelfService.PutAway(SCRAP, x.id(), x.name())))
                        .toList());
        model.addAttribute("memories", memories(formats));
        model.addAttribute("mouldKinds", kinds(MouldKind.values()));
        model.addAttribute("materials", kinds(VesselMaterial.values()));
        model.addAttribute("behaviours", BEHAVIOURS);
        model.addAttribute(
                "fatChoices",
                pantry.catalogue().fats().stream()
                        .sorted(Comparator.comparing(Fat::name))
                        .toList());
        model.addAttribute("substances", substances(pantry));
        model.addAttribute("unit", formats.massUnit());
        model.addAttribute("currency", maker.currency());
        model.addAttribute("tried", tried);
        model.addAttribute("typed", typed);
        model.addAttribute("problems", problems);
        return "shelf/shelf";
    }

    /** What can be understood, and what cannot as what it is. */
    private List<Line> lines(String kind, Stream<Line> understood) {
        return Stream.concat(
                        understood,
                        shelf.unreadable().stream()
                                .filter(u -> u.kind().equals(kind))
                                .map(u -> new Line(
                                        kind, u.id(), u.name(), "cannot be understood and counts for nothing", true)))
                .toList();
    }

    /**
     * What an ingredient did here: how often, its effect, the latest uses and the effects of their lots, and how many
     * uses there are besides.
     */
    record Remembered(
            String name,
            String counts,
            boolean troubled,
            String effect,
            List<String> lots,
            List<Trial> uses,
            int earlier) {}

    /** One use: batch, day, circumstances, what it did. */
    record Trial(String batch, String day, String how, String did) {}

    private List<Remembered> memories(Formats formats) {
        return mixes.known().ingredients().values().stream()
                .filter(m -> m.additive().isFragrance()
                        || m.troubled() > 0
                        || m.additive().isColourant()
                        || !m.counts().isEmpty())
                .sorted(Comparator.comparing((IngredientMemory m) -> -m.troubled())
                        .thenComparing(m -> -m.uses().size())
                        .thenComparing(m -> m.additive().name()))
                .map(m -> remembered(m, formats))
                .toList();
    }

    private static Remembered remembered(IngredientMemory memory, Formats formats) {
        List<IngredientMemory.Use> latest = latest(memory.uses());
        Set<String> lots =
                latest.stream().flatMap(u -> Stream.ofNullable(u.lot())).collect(Collectors.toSet());
        return new Remembered(
                memory.additive().name(),
                MemoryWords.counts(memory),
                memory.troubled() > 0,
                MemoryWords.effect(memory.effect()),
                memory.lots().entrySet().stream()
                        .filter(l -> lots.contains(l.getKey()))
                        .map(l -> l.getKey() + " " + MemoryWords.effect(l.getValue()))
                        .toList(),
                latest.stream()
                        .map(u -> new Trial(
                                u.batch(),
                                formats.day(u.when()),
                                MemoryWords.circumstances(u, formats),
                                MemoryWords.did(u)))
                        .toList(),
                memory.uses().size() - latest.size());
    }

    /**
     * The latest in which it did something and the latest in which nothing was seen: trouble of long ago is not pushed
     * out by what went well since.
     */
    static List<IngredientMemory.Use> latest(List<IngredientMemory.Use> uses) {
        return Stream.concat(
                        uses.stream().filter(u -> !u.did().isEmpty()).limit(USES_SHOWN),
                        uses.stream().filter(u -> u.did().isEmpty()).limit(USES_SHOWN))
                .sorted(Comparator.comparing(IngredientMemory.Use::when).reversed())
                .toList();
    }

    private static Line mould(Mould m, LoafKnowledge known, Formats formats) {
        String sides = m.kind() == MouldKind.TUBE
                ? Formats.number(m.width(), 0) + " mm across, " + Formats.number(m.height(), 0) + " mm tall"
                : Formats.number(m.length(), 0) + " \u00d7 " + Formats.number(m.width(), 0) + " \u00d7 "
                        + Formats.number(m.height(), 0) + " mm";
        String many = m.cavities() > 1 ? m.cavities() + " of " : "";
        String water =
                m.water() == null ? "" : m.sidesAreGuessed() ? ", sides guessed from that" : ", measured with water";
        return new Line(
                "mould",
                m.name(),
                m.name(),
                spoken(m.kind()) + ", " + many + sides + ", holds " + formats.roughMass(m.capacity()) + water
                        + loss(m, known),
                false);
    }

    /** What its cores told of it. */
    private static String loss(Mould m, LoafKnowledge known) {
        int batches = known.batchesIn(m);
        if (batches == 0) {
            return "";
        }
        LoafExpectation e = known.of(m);
        return ", loses " + Formats.number(e.lossFactor(), 2) + " times the heat that is reckoned ("
                + Formats.number(e.lossFactor() * Math.exp(-e.lossSpread()), 2) + " to "
                + Formats.number(e.lossFactor() * Math.exp(e.lossSpread()), 2) + "), by the cores of " + batches
                + (batches == 1 ? " batch" : " batches");
    }

    /** With the batch that it is of, if it is of one. */
    record ScrapLine(String id, String name, String colour, String facts, String href) {}

    private ScrapLine scrap(Scrap s, Formats formats) {
        String of = s.left().equals(s.kept()) ? "" : " of " + formats.mass(s.kept());
        return new ScrapLine(
                s.id(),
                s.name(),
                s.colour(),
                formats.mass(s.left()) + of + " left, put aside " + formats.day(s.keptAt()) + ", superfat "
                        + Formats.percent(s.superfat()),
                s.batch().map(b -> "/batch/" + b).orElse(""));
    }

    private static Line fat(Fat f) {
        return new Line(
                "fat",
                f.id(),
                f.name(),
                "saponification value " + Formats.number(f.saponificationValue(), 1) + ", iodine value "
                        + Formats.number(f.iodineValue(), 0) + ", " + f.source(),
                false);
    }

    private static Line fragrance(Additive a) {
        String cap = a.cap() == null ? "no limit known" : "at most " + Formats.number(a.cap() / 10, 1) + " % of fats";
        String does = a.effects().stream()
                .map(e -> BEHAVIOURS.getOrDefault(e, e))
                .sorted()
                .reduce((x, y) -> x + ", " + y)
                .orElse("behaves");
        String names = a.scentAllergens().isEmpty() ? "" : ", names " + String.join(", ", a.scentAllergens());
        return new Line("fragrance", a.id(), a.name(), cap + ", " + does + names, false);
    }

    private static Line lot(Lot l, Pantry pantry, Maker maker, LocalDate today) {
        StringBuilder facts = new StringBuilder(substanceName(l, pantry));
        if (l.saponification() != null) {
            facts.append(", certified ")
                    .append(Formats.number(l.saponification(), 1))
                    .append(" mg KOH/g");
        }
        if (l.perKilogram() != null) {
            facts.append(", ")
                    .append(maker.currency())
                    .append(' ')
                    .append(l.perKilogram())
                    .append(" a kg");
        }
        if (l.useBy() != null) {
            facts.append(l.isPast(today) ? ", past its use-by " : ", use by ").append(DAY.format(l.useBy()));
        }
        return new Line("lot", l.id().toString(), l.label(), facts.toString(), l.isPast(today));
    }

    private static String substanceName(Lot l, Pantry pantry) {
        return switch (l.kind()) {
            case FAT -> pantry.catalogue().findFat(l.substance()).map(Fat::name).orElse(l.substance());
            case ADDITIVE ->
                pantry.catalogue()
                        .findAdditive(l.substance())
                        .map(Additive::name)
                        .orElse(l.substance());
            case LIQUID ->
                pantry.catalogue().findLiquid(l.substance()).map(x -> x.name()).orElse(l.substance());
            case ALKALI -> l.substance().equals("koh") ? "Potassium hydroxide" : "Sodium hydroxide";
        };
    }

    private static List<Choice> substances(Pantry pantry) {
        Stream<Choice> alkali = Stream.of(
                new Choice("ALKALI/naoh", "Sodium hydroxide"), new Choice("ALKALI/koh", "Potassium hydroxide"));
        Stream<Choice> fats = pantry.catalogue().fats().stream().map(f -> new Choice("FAT/" + f.id(), f.name()));
        Stream<Choice> liquids =
                pantry.catalogue().liquids().stream().map(l -> new Choice("LIQUID/" + l.id(), l.name()));
        Stream<Choice> additives =
                pantry.catalogue().additives().stream().map(a -> new Choice("ADDITIVE/" + a.id(), a.name()));
        return Stream.of(alkali, fats, liquids, additives)
                .flatMap(s -> s)
                .sorted(Comparator.comparing(Choice::name))
                .toList();
    }

    private static List<Choice> kinds(Enum<?>[] values) {
        return Stream.of(values).map(v -> new Choice(v.name(), spoken(v))).toList();
    }

    private static String spoken(Enum<?> value) {
        return switch (value.name()) {
            case "HDPE", "PET" -> value.name();
            case "CUSTOM" -> "another shape, by water";
            case "TUBE" -> "tube, standing";
            default -> value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
        };
    }

    private static Map<String, String> behaviours() {
        Map<String, String> map = new LinkedHashMap<>();
        map.put("slows", "slows");
        map.put("accelerates_mild", "moves a little");
        map.put("accelerates_strong", "moves fast");
        map.put("seizes", "seizes");
        map.put("ricing_possible", "may rice");
        map.put("discolours_brown", "browns");
        map.put("heats", "heats the loaf");
        return map;
    }
}
