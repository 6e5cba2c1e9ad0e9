package io.causticon.web.batch;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import io.causticon.core.formula.AdditivePortion;
import io.causticon.core.formula.AlkaliChoice;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.FatPortion;
import io.causticon.core.formula.Formula;
import io.causticon.core.formula.GelGoal;
import io.causticon.core.formula.LiquidPart;
import io.causticon.core.formula.LiquidTarget;
import io.causticon.core.formula.Mould;
import io.causticon.core.formula.Process;
import io.causticon.core.formula.Scales;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.substance.Catalogue;
import io.causticon.web.shared.Recent;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes plans for keeping and reads them again. Substances are kept by id, amounts in base units: g, fraction, C, mm. */
@Component
public class PlanCodec {

    private record Portion(String id, double grams) {}

    private record Part(String id, double share, boolean frozen) {}

    private record Kept(
            String name,
            List<Portion> fats,
            double naohShare,
            double naohPurity,
            double kohPurity,
            double superfat,
            LiquidTarget.Way liquidWay,
            double liquidValue,
            List<Part> liquids,
            List<Portion> additives,
            Process process,
            GelGoal gel,
            @Nullable Mould mould,
            double mixAt,
            double fatStep,
            double lyeStep,
            String note) {}

    private static final int REMEMBERED = 500;

    private final Recent<String, BatchPlan> recent = new Recent<>(REMEMBERED);

    private final JsonMapper mapper = JsonMapper.builder()
            .changeDefaultVisibility(v -> v.withGetterVisibility(
                            Visibility.NONE)
                    .withIsGetterVisibility(Visibility.NONE)
                    .withFieldVisibility(Visibility.ANY))
            .build();

    public String write(BatchPlan plan) {
        Formula f = plan.formula();
        return mapper.writeValueAsString(new Kept(
                plan.name(),
                f.fats().stream().map(p -> new Portion(p.fat().id(), p.mass().grams())).toList(),
                f.alkali().naohShare().fraction(),
                f.alkali().naohPurity().fraction(),
                f.alkali().kohPurity().fraction(),
                f.superfat().fraction(),
                f.liquidTarget().way(),
                f.liquidTarget().value(),
                f.liquidParts().stream()
                        .map(p -> new Part(p.liquid().id(), p.share().fraction(), p.frozen()))
                        .toList(),
                f.additives().stream()
                        .map(p -> new Portion(p.additive().id(), p.mass().grams()))
                        .toList(),
                plan.process(),
                plan.gel(),
                plan.mould(),
                plan.mixAt().celsius(),
                plan.scales().fatStep().grams(),
                plan.scales().lyeStep().grams(),
                plan.note()));
    }

    /** A kept plan is never changed, so it is read once and remembered. */
    public BatchPlan read(String kept) {
        return recent.get(kept, this::plan);
    }

    private BatchPlan plan(String kept) {
        Kept k = mapper.readValue(kept, Kept.class);
        Catalogue catalogue = Catalogue.standard();
        Formula formula = new Formula(
                k.fats().stream()
                        .map(p -> new FatPortion(catalogue.fat(p.id()), Mass.grams(p.grams())))
                        .toList(),
                new AlkaliChoice(
                        Share.fraction(k.naohShare()), Share.fraction(k.naohPurity()), Share.fraction(k.kohPurity())),
                Share.fraction(k.superfat()),
                new LiquidTarget(k.liquidWay(), k.liquidValue()),
                k.liquids().stream()
                        .map(p -> new LiquidPart(catalogue.liquid(p.id()), Share.fraction(p.share()), p.frozen()))
                        .toList(),
                k.additives().stream()
                        .map(p -> new AdditivePortion(catalogue.additive(p.id()), Mass.grams(p.grams())))
                        .toList());
        return new BatchPlan(
                k.name(),
                formula,
                k.process(),
                k.gel(),
                k.mould(),
                Temperature.celsius(k.mixAt()),
                new Scales(Mass.grams(k.fatStep()), Mass.grams(k.lyeStep())),
                k.note());
    }
}
