package io.causticon.web.demo;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Role;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Fills an empty workshop with as many batches as are asked for, years of them, for tests and measurements. */
@Component
@ConditionalOnProperty(name = "causticon.fill")
class FillWorkshop implements ApplicationRunner {

    private static final Temperature ROOM = Temperature.celsius(18);
    private static final Logger LOG = LoggerFactory.getLogger(FillWorkshop.class);
    private static final String INES = "Ines Harrow";

    /** So that a log has about two hundred lines. */
    private static final int READINGS = 150;

    /**
     * One batch in ten has a fat from a bowl whose tare was not written down, and which is not on the shelf yet; nobody
     * has washed with it.
     */
    private static final int JUG_EACH = 10;

    private static final String JUG = "blue bowl";

    private static final double DAYS_BETWEEN = 0.9;
    private static final double RELEASED_AFTER = 33;

    private final AccountService accounts;
    private final ShelfService shelf;
    private final BatchService batches;
    private final Clock clock;
    private final int wanted;

    FillWorkshop(
            AccountService accounts,
            ShelfService shelf,
            BatchService batches,
            Clock clock,
            @Value("${causticon.fill}") int wanted) {
        this.accounts = accounts;
        this.shelf = shelf;
        this.batches = batches;
        this.clock = clock;
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!accounts.isNew()) {
            return;
        }
        accounts.openWorkshop("Saltern Lane Soapworks", ZoneId.systemDefault().getId(), ROOM);
        accounts.create("ines", INES, DemoWorkshop.PASSWORD, Role.OWNER);
        accounts.create("odd", "Odd Brekke", DemoWorkshop.PASSWORD, Role.MAKER);
        List.of(DemoRecipes.OAK_LOAF, DemoRecipes.SMALL_LOAF, DemoRecipes.SLAB, DemoRecipes.CAVITIES)
                .forEach(shelf::addMould);
        List.of(DemoRecipes.FIRST_JUG, DemoRecipes.STEEL_POT, DemoRecipes.WIDE_POT)
                .forEach(shelf::addVessel);
        List<BatchPlan> plans = List.of(
                DemoRecipes.juniper(),
                DemoRecipes.nettle(),
                DemoRecipes.seaBuckthorn(),
                DemoRecipes.harbourMilk(),
                DemoRecipes.honeyLoft(),
                DemoRecipes.ferryBar(),
                DemoRecipes.longShelf());
        for (int i = 0; i < wanted; i++) {
            keep(plans.get(i % plans.size()), DAYS_BETWEEN * (i + 1), i);
        }
        LOG.info("{} batches are kept.", wanted);
    }

    private void keep(BatchPlan plan, double days, int number) {
        Instant now = clock.instant();
        Instant begun = now.minus(Duration.ofMinutes(Math.round(1440 * days)));
        boolean fromAJug = number % JUG_EACH == 0;
        DemoBatch made = new DemoBatch(plan, begun, now, ROOM, number)
                .weighed()
                .potsMatched()
                .mixedTo(Stage.MEDIUM)
                .pouredAndKept(MouldCare.INSULATED)
                .probed(READINGS)
                .unmouldedAndCut(12);
        if (fromAJug) {
            made = made.jugWithoutTare(plan.formula().fats().get(0).fat().id(), JUG, Tare.NOT_TAKEN);
        } else {
            made = made.day(4, new Entry.WashTested(WashFeel.CALM));
        }
        DemoBatch all = days > RELEASED_AFTER && !fromAJug
                ? made.day(
                        RELEASED_AFTER,
                        new Entry.WashTested(WashFeel.CALM),
                        new Entry.Released("calm, and a month old"))
                : made;
        BatchId id = batches.begin(plan, null, 1, begun, INES, ZoneId.systemDefault(), "fill-" + number);
        batches.takeOver(id, all.lines(), INES);
    }
}
