package io.causticon.web.demo;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Behaviour;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.TouchFeel;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.web.places.casebook.CasebookService;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Role;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.BatchService.Dated;
import io.causticon.web.store.device.DeviceKind;
import io.causticon.web.store.device.DeviceService;
import io.causticon.web.store.recipe.RecipeService;
import io.causticon.web.store.shelf.FragranceSheet;
import io.causticon.web.store.shelf.Lot;
import io.causticon.web.store.shelf.LotKind;
import io.causticon.web.store.shelf.ShelfService;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Saltern Lane Soapworks, a made-up studio in the invented harbour town of Skerrow: twenty-five batches over fourteen
 * months, in every stage of life. Dates are relative to the moment it is made.
 */
@Component
@Order(1)
@ConditionalOnProperty(name = "causticon.demo", havingValue = "true")
class DemoWorkshop implements ApplicationRunner {

    static final String PASSWORD = "lye-into-water";
    private static final Temperature ROOM = Temperature.celsius(17.5);
    private static final Logger LOG = LoggerFactory.getLogger(DemoWorkshop.class);
    private static final String INES = "Ines Harrow";
    private static final String ODD = "Odd Brekke";

    private final AccountService accounts;
    private final ShelfService shelf;
    private final RecipeService recipes;
    private final BatchService batches;
    private final DeviceService devices;
    private final Clock clock;
    private final Map<String, RecipeService.Recipe> kept = new HashMap<>();
    private final Diagnostician diagnostician = new Diagnostician(StandardKnowledge.all());

    DemoWorkshop(
            AccountService accounts,
            ShelfService shelf,
            RecipeService recipes,
            BatchService batches,
            DeviceService devices,
            Clock clock) {
        this.accounts = accounts;
        this.shelf = shelf;
        this.recipes = recipes;
        this.batches = batches;
        this.devices = devices;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!accounts.isNew()) {
            return;
        }
        accounts.openWorkshop("Saltern Lane Soapworks", ZoneId.systemDefault().getId(), ROOM);
        accounts.create("ines", INES, PASSWORD, Role.OWNER);
        accounts.create("odd", ODD, PASSWORD, Role.MAKER);
        accounts.create("guest", "Guest", PASSWORD, Role.VIEWER);
        List.of(DemoRecipes.OAK_LOAF, DemoRecipes.SMALL_LOAF, DemoRecipes.SLAB, DemoRecipes.CAVITIES)
                .forEach(shelf::addMould);
        stockTheShelf();
        pastOnes();
        cleanOnes();
        troubledOnes();
        LOG.info("Saltern Lane Soapworks is set up.");
    }

    /** The oldest first: a recipe that changed since has a version for each. */
    private void pastOnes() {
        DemoPast past = new DemoPast(clock.instant(), ROOM);
        keep(ODD, past.rapeseedAndRye());
        keep(ODD, past.nettleUnderItsLid());
        keep(INES, past.juniperThatParted());
        keep(ODD, past.galeWarning());
        keep(ODD, past.brineCutTooLate());
        keep(INES, past.loftLather());
        keep(INES, past.skerrowFog());
        keep(INES, past.netLoft());
        keep(INES, past.seaBuckthornHalfGelled());
        keep(ODD, past.harbourDusk());
        keep(ODD, past.threeTides());
        keep(INES, past.sixWaters());
    }

    private void stockTheShelf() {
        shelf.addMould(DemoRecipes.TUBE);
        shelf.addVessel(DemoRecipes.FIRST_JUG);
        shelf.addVessel(new Vessel("second jug", VesselMaterial.POLYPROPYLENE, Mass.grams(84)));
        shelf.addVessel(DemoRecipes.STEEL_POT);
        shelf.addVessel(DemoRecipes.WIDE_POT);
        shelf.addVessel(new Vessel("glass beaker", VesselMaterial.GLASS, Mass.grams(310)));
        shelf.addVessel(new Vessel("old milk can", VesselMaterial.ALUMINIUM, Mass.grams(820)));
        shelf.addFat("Loft pressing", "olive-oil", 191.4, 84, false);
        shelf.addFragrance(new FragranceSheet(
                "Harbour fog",
                35.0,
                List.of("accelerates_mild"),
                List.of("linalool", "limonene"),
                "of salt and wet rope"));
        shelf.addFragrance(new FragranceSheet(
                "Tarred hemp",
                30.0,
                List.of("ricing_possible", "discolours_brown"),
                List.of("eugenol"),
                "rices below 38 \u00b0C"));
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        lot("olive-oil", "OL-31", 189.6, "8.40", today.plusMonths(9));
        lot("olive-oil", "OL-27", 190.8, "7.90", today.minusDays(20));
        lot("coconut-oil-76", "CO-12", 257.1, "4.60", today.plusMonths(14));
        lot("lard", "LA-08", null, "3.20", today.plusMonths(4));
        lot("shea-butter", "SH-05", null, "11.50", today.plusMonths(11));
        lot("cocoa-butter", "CB-03", null, "17.00", today.plusMonths(16));
        lot("castor-oil", "CA-09", null, "9.10", today.plusMonths(10));
        lot("sunflower-oil-high-oleic", "SU-14", null, "5.20", today.plusMonths(7));
        lot("rice-bran-oil", "RB-02", null, "6.80", today.plusMonths(6));
        scent("eo-lavender", "LV-4", "68.00", today.plusMonths(8));
        scent("eo-rosemary", "RO-2", "44.00", today.plusMonths(11));
        scent("own-tarred-hemp", "TH-1", "52.00", today.plusMonths(2));
        scent("own-tarred-hemp", "TH-2", "55.00", today.plusMonths(13));
        lot("tallow-beef", "TA-06", null, "2.90", today.plusMonths(5));
        shelf.addLot(new Lot(UUID.randomUUID(), LotKind.ALKALI, "naoh", "LYE-19", null, new BigDecimal("3.80"), null));
    }

    private void scent(String additive, String label, String price, LocalDate useBy) {
        shelf.addLot(new Lot(UUID.randomUUID(), LotKind.ADDITIVE, additive, label, null, new BigDecimal(price), useBy));
    }

    private void lot(String fat, String label, @Nullable Double certified, String price, LocalDate useBy) {
        shelf.addLot(new Lot(UUID.randomUUID(), LotKind.FAT, fat, label, certified, new BigDecimal(price), useBy));
    }

    private void cleanOnes() {
        watched(keep(INES, onTheBench()));
        keep(
                ODD,
                batch(DemoRecipes.ryeBeerTar(), 0.36, 2)
                        .weighed()
                        .potsMatched()
                        .mixedTo(Stage.MEDIUM)
                        .ricedAfter("tarred hemp", 18, "TH-2")
                        .pouredAndKept(MouldCare.INSULATED));
        keep(
                INES,
                batch(DemoRecipes.juniper(), 1.35, 3)
                        .weighed()
                        .potsMatched()
                        .mixedTo(Stage.MEDIUM)
                        .added("rosemary", 36, "RO-2")
                        .pouredAndKept(MouldCare.COVERED));
        keep(
                ODD,
                batch(DemoRecipes.brine(), 4.2, 5)
                        .weighed()
                        .potsMatched()
                        .mixedTo(Stage.MEDIUM)
                        .pouredAndKept(MouldCare.COVERED)
                        .unmouldedAndCut(12)
                        .day(3.1, new Entry.WashTested(WashFeel.CALM), new Entry.TouchTested(TouchFeel.FIRM)));
        keep(
                INES,
                batch(DemoRecipes.seaBuckthorn(), 21.2, 7)
                        .weighed()
                        .potsMatched()
                        .mixedTo(Stage.MEDIUM)
                        .added("lavender", 24, "LV-4")
                        .pouredAndKept(MouldCare.INSULATED)
                        .unmouldedAndCut(14)
                        .day(2.4, new Entry.ScrapsKept("orange", Mass.grams(118)))
                        .day(4, new Entry.WashTested(WashFeel.CALM), new Entry.TouchTested(TouchFeel.FIRM))
                        .day(9, new Entry.WashTested(WashFeel.CALM))
                        .day(14.4, new Entry.PhRead(9.8, PhMethod.METER)));
        BatchId brown = keep(
                INES,
                batch(DemoRecipes.ferryBar(), 66, 11)
                        .weighed()
                        .potsMatched()
                        .mixedTo(Stage.MEDIUM)
                        .added("tarred hemp", 20, "TH-1")
                        .pouredAndKept(MouldCare.INSULATED)
                        .unmouldedAndCut(12)
                        .day(2.2, new Entry.ScrapsKept("brown", Mass.grams(284)))
                        .day(4, new Entry.WashTested(WashFeel.CALM))
                        .day(
                                9,
                                new Entry.TouchTested(TouchFeel.FIRM),
                                new Entry.Observed("thin-bloom", Presence.LOOKED_AND_ABSENT))
                        .day(24, new Entry.Behaved("tarred hemp", Behaviour.BROWNED))
                        .day(
                                31,
                                new Entry.WashTested(WashFeel.CALM),
                                new Entry.Released("four weeks, calm on both makers")));
        BatchId pale = keep(
                ODD,
                batch(DemoRecipes.longShelf(), 88, 12)
                        .weighed()
                        .potsMatched()
                        .mixedTo(Stage.LIGHT)
                        .pouredAndKept(MouldCare.COVERED)
                        .unmouldedAndCut(24)
                        .day(4.5, new Entry.ScrapsKept("pale", Mass.grams(416)))
                        .day(5, seen("thin-bloom"))
                        .day(8, new Entry.TouchTested(TouchFeel.SOFT))
                        .day(12, new Entry.WashTested(WashFeel.CALM))
                        .day(13, new Entry.Concluded(new Named("soda-ash", "soda ash"), "steam took it off"))
                        .day(40, new Entry.WashTested(WashFeel.CALM))
                        .day(60, new Entry.TouchTested(TouchFeel.FIRM)));
        keep(ODD, new DemoPast(clock.instant(), ROOM).quayEnds(batches.get(pale), batches.get(brown)));
    }

    private void troubledOnes() {
        keep(
                ODD,
                batch(DemoRecipes.nettle(), 9.3, 4)
                        .weighed()
                        .potsMatched()
                        .mixedTo(Stage.LIGHT)
                        .pouredAndKept()
                        .unmouldedAndCut(9)
                        .day(3.2, seen("thin-bloom"))
                        .day(5, absent("crust-resists"), absent("white-spots"))
                        .day(7.5, new Entry.WashTested(WashFeel.CALM)));
        keep(
                INES,
                batch(DemoRecipes.sailLoftTar(), 16.3, 6)
                        .weighed()
                        .jugWithoutTare("lard", "second jug", Tare.NOT_SAID)
                        .potsMatched()
                        .mixedTo(Stage.MEDIUM)
                        .pouredAndKept(MouldCare.COVERED)
                        .unmouldedAndCut(12)
                        .day(4.1, seen("thick-crust"))
                        .day(
                                7.2,
                                new Entry.PhRead(9, PhMethod.STRIP),
                                new Entry.Observed("white-spots", Presence.LOOKED_AND_ABSENT, Bars.numbered(2, 6, 11)))
                        .day(11.2, seen("crust-grows"), seen("crust-resists"))
                        .day(12.1, new Entry.WashTested(WashFeel.BURNING, Bars.numbered(3))));
        DemoBatch milk = batch(DemoRecipes.harbourMilk(), 12.4, 8).weighed().potsMatched();
        keep(
                ODD,
                milk.atMinute(19, seen("liquor-orange"))
                        .atMinute(20, seen("burnt-smell"))
                        .mixedTo(Stage.MEDIUM)
                        .pouredAndKept(MouldCare.FRIDGE)
                        .unmouldedAndCut(9)
                        .day(6, new Entry.WashTested(WashFeel.CALM))
                        .day(10, new Entry.WashTested(WashFeel.CALM)));
        keep(
                INES,
                batch(DemoRecipes.cloveLantern(), 33.1, 9)
                        .weighed()
                        .potsMatched()
                        .mixedTo(Stage.LIGHT)
                        .seizedAfter("clove", 10)
                        .pouredAndKept(MouldCare.COVERED)
                        .unmouldedAndCut(10)
                        .day(3, absent("white-spots"))
                        .day(6, new Entry.WashTested(WashFeel.CALM))
                        .day(12, new Entry.WashTested(WashFeel.CALM)));
        keep(
                ODD,
                batch(DemoRecipes.honeyLoft(), 6.4, 10)
                        .weighed()
                        .potsMatched()
                        .mixedTo(Stage.MEDIUM)
                        .pouredAndKept(MouldCare.INSULATED)
                        .day(0.2, seen("crack"), seen("heaved"))
                        .unmouldedAndCut(12)
                        .day(2.2, absent("white-spots"), absent("tunnels"))
                        .day(4.4, new Entry.WashTested(WashFeel.CALM)));
    }

    /** Begun so that lye and fats are just coming together now. */
    private DemoBatch onTheBench() {
        BatchPlan plan = DemoRecipes.wheyAndBarley();
        double lyeIn = new DemoBatch(plan, clock.instant(), clock.instant(), ROOM, 1)
                .weighed()
                .potsMatched()
                .lyeInMinute();
        Instant begun = clock.instant().minus(Duration.ofMinutes(Math.round(lyeIn - 9)));
        return new DemoBatch(plan, begun, clock.instant(), ROOM, 1).weighed().potsMatched();
    }

    private DemoBatch batch(BatchPlan plan, double days, long seed) {
        Instant now = clock.instant();
        Instant begun = now.minus(Duration.ofMinutes(Math.round(1440 * days)));
        return new DemoBatch(plan, begun, now, ROOM, seed);
    }

    private void watched(BatchId bench) {
        devices.watch(
                devices.add("probe 1", DeviceKind.THERMOMETER, true).device().id(),
                bench,
                MeasurementPoint.LYE,
                null,
                null);
        devices.watch(
                devices.add("probe 2", DeviceKind.THERMOMETER, true).device().id(),
                bench,
                MeasurementPoint.FATS,
                null,
                null);
        devices.add("bench scale", DeviceKind.SCALE, true);
    }

    private BatchId keep(String by, DemoBatch batch) {
        if (batch.plan().isRework()) {
            return keep(by, batch, null, 1);
        }
        RecipeService.Recipe recipe = kept.compute(
                batch.plan().name(),
                (name, old) -> old == null
                        ? recipes.create(batch.plan(), by)
                        : recipes.save(old.recipe(), batch.plan(), 0, by));
        return keep(by, batch, recipe.recipe(), recipe.version());
    }

    private BatchId keep(String by, DemoBatch batch, @Nullable UUID recipe, int version) {
        BatchId id = batches.begin(
                batch.plan(),
                recipe,
                version,
                batch.begun(),
                by,
                ZoneId.systemDefault(),
                "demo-" + kept.size() + "-" + batch.begun().getEpochSecond());
        batches.takeOver(id, withHold(batch), by);
        return id;
    }

    /** Puts the hold where the diagnosis of that day would have put it. */
    private List<Dated> withHold(DemoBatch batch) {
        List<Dated> lines = new ArrayList<>(batch.lines());
        for (int i = 0; i < lines.size(); i++) {
            Entry entry = lines.get(i).entry();
            if (entry instanceof Entry.Observed || entry instanceof Entry.WashTested) {
                List<Dated> known = lines.subList(0, i + 1);
                BatchLog log = new BatchLog(batch.begun(), DemoBatch.asLogged(known));
                Instant then = lines.get(i).at();
                Diagnosis diagnosis =
                        diagnostician.examine(BatchFacts.of(batch.plan(), log, then), shelf.knownVessels());
                if (diagnosis.verdict() == Diagnosis.Verdict.HOLD) {
                    var worst = CasebookService.worst(diagnosis);
                    String reason = worst.condition().name() + " stood at " + Formats.probability(worst.probability());
                    lines.add(i + 1, new Dated(then.plusSeconds(30), new Entry.Held(reason)));
                    return lines;
                }
            }
        }
        return lines;
    }

    private static Entry seen(String finding) {
        return new Entry.Observed(finding, Presence.SEEN);
    }

    private static Entry absent(String finding) {
        return new Entry.Observed(finding, Presence.LOOKED_AND_ABSENT);
    }
}
