package io.causticon.core;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.util.ArrayList;
import java.util.List;

/** Builds recipes for tests, a line each: {@code recipe().fat("olive-oil", 700).superfat(5)}. */
public final class Recipes {

    private final List<FatPortion> fats = new ArrayList<>();
    private final List<LiquidPart> liquids = new ArrayList<>();
    private final List<AdditivePortion> additives = new ArrayList<>();
    private AlkaliChoice alkali = AlkaliChoice.naoh(Share.WHOLE);
    private Share superfat = Share.percent(5);
    private LiquidTarget target = LiquidTarget.concentration(0.33);
    private GelGoal gel = GelGoal.ALLOW;
    private Process process = Process.COLD;

    public static Recipes recipe() {
        return new Recipes();
    }

    public Recipes fat(String id, double grams) {
        fats.add(new FatPortion(Catalogue.standard().fat(id), Mass.grams(grams)));
        return this;
    }

    public Recipes liquid(String id, double percent) {
        liquids.add(new LiquidPart(Catalogue.standard().liquid(id), Share.percent(percent), LiquidState.LIQUID));
        return this;
    }

    public Recipes additive(String id, double grams) {
        additives.add(new AdditivePortion(Catalogue.standard().additive(id), Mass.grams(grams)));
        return this;
    }

    /** In the fats from the start, whatever the tables advise. */
    public Recipes inTheFats(String id, double grams) {
        additives.add(
                new AdditivePortion(Catalogue.standard().additive(id), Mass.grams(grams)).joining(AdditionStage.FATS));
        return this;
    }

    public Recipes superfat(double percent) {
        superfat = Share.percent(percent);
        return this;
    }

    public Recipes purity(double percent) {
        alkali = AlkaliChoice.naoh(Share.percent(percent));
        return this;
    }

    public Recipes alkali(AlkaliChoice choice) {
        alkali = choice;
        return this;
    }

    public Recipes target(LiquidTarget other) {
        target = other;
        return this;
    }

    public Recipes process(Process other) {
        process = other;
        return this;
    }

    public Formula formula() {
        List<LiquidPart> parts = liquids.isEmpty()
                ? List.of(
                        new LiquidPart(Catalogue.standard().liquid("distilled-water"), Share.WHOLE, LiquidState.LIQUID))
                : liquids;
        return new Formula(fats, alkali, superfat, target, parts, additives);
    }

    public Recipes frozen(String id, double percent) {
        liquids.add(new LiquidPart(Catalogue.standard().liquid(id), Share.percent(percent), LiquidState.FROZEN));
        return this;
    }

    public Recipes gel(GelGoal other) {
        gel = other;
        return this;
    }

    public BatchPlan plan() {
        Mould loaf = new Mould("oak loaf", MouldKind.WOODEN_LOAF, 240, 85, 70, 1);
        return new BatchPlan("Test bar", formula(), process, gel, loaf, Temperature.celsius(40), Scales.KITCHEN, "");
    }
}
