package io.causticon.web.store.batch;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.github.benmanes.caffeine.cache.Cache;
import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.FixedAmounts;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.model.plan.Settings;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.PlanCheck;
import io.causticon.web.shared.Caches;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes plans for keeping and reads them again. Amounts are in base units: g, fraction, C, mm. Substances of the
 * tables are kept by id, those of the workshop's own whole: a plan stays readable when they are put away.
 */
@Component
public class PlanCodec {

    /** Something in a kept plan that this program does not know: what, as the end of a sentence about the plan. */
    public static final class UnknownField extends RuntimeException {

        private UnknownField(String says) {
            super(says);
        }

        /** @param within the field that it stands in; empty where it stands in the plan itself */
        static UnknownField of(String within, UnrecognizedPropertyException e) {
            String path = Stream.concat(
                            Stream.of(within).filter(w -> !w.isEmpty()),
                            e.getPath().stream()
                                    .map(r -> r.getPropertyName() == null
                                            ? "[" + r.getIndex() + "]"
                                            : r.getPropertyName()))
                    .collect(Collectors.joining("."))
                    .replace(".[", "[");
            return new UnknownField("says \u201c" + path + "\u201d, which this program does not know");
        }
    }

    private record OwnFat(String name, String likeId, double saponification, double iodine, boolean animal) {}

    private record OwnFragrance(
            String name, @Nullable Double cap, Set<String> behaviour, Set<String> allergens, String note) {}

    private record FatKept(
            String id,
            double grams,
            @Nullable String lot,
            @Nullable Double certified,
            @Nullable OwnFat own,
            @Nullable Boolean afterCook) {}

    /** {@code frozen} is how plans before the states told it. */
    private record LiquidKept(
            String id,
            double share,
            @Nullable Boolean frozen,
            @Nullable AdditionStage joins,
            @Nullable LiquidState state) {

        LiquidState inState() {
            if (state != null) {
                return state;
            }
            return Boolean.TRUE.equals(frozen) ? LiquidState.FROZEN : LiquidState.LIQUID;
        }
    }

    private record AdditiveKept(
            String id,
            double grams,
            Dose.@Nullable Way way,
            double value,
            @Nullable AdditionStage joins,
            @Nullable OwnFragrance own) {}

    private record ExtraKept(
            String id,
            Dose.Way way,
            double value,
            @Nullable OwnFragrance own,
            @Nullable AdditionStage joins) {}

    private record PortionKept(
            String name,
            @Nullable List<Line.Point> top,
            double share,
            List<ExtraKept> additives,
            List<ExtraKept> liquids) {}

    private record PouringKept(
            Pouring.SizedBy sizedBy,
            @Nullable Double fillHeight,
            double overage,
            @Nullable Mould spare,
            double thickness,
            Portioning.Way way,
            double stuck,
            List<PortionKept> portions,
            @Nullable Vessel bowl,
            Portioning.@Nullable LyeRoute route,
            @Nullable Double cupGrams) {}

    /** What has a form of its own; beside it stands each of {@link PlanFields}, in the same object. */
    private record Kept(
            String name,
            List<FatKept> fats,
            double naohShare,
            double naohPurity,
            double kohPurity,
            @Nullable Boolean kohCertified,
            double superfat,
            LiquidTarget.Way liquidWay,
            double liquidValue,
            List<LiquidKept> liquids,
            List<AdditiveKept> additives,
            @Nullable Mould mould,
            @Nullable PouringKept pouring,
            @Nullable Double lyeGrams,
            @Nullable Double liquidGrams,
            @Nullable ReworkKept rework,
            String note) {}

    private record ScrapKept(
            String id,
            String source,
            String name,
            double grams,
            List<FatKept> fats,
            double naohShare,
            double superfat,
            double superfatSpread,
            double water,
            double waterSpread,
            double otherOfFats,
            @Nullable Boolean fresh,
            List<String> allergens) {}

    private record ReworkKept(List<ScrapKept> scraps, List<FatKept> added, double waterGrams, Rework.Way way) {}

    private static final String VERSION = "version";

    /** Of the form in which plans are kept; those from before there were versions have none, and are of the first. */
    private static final int NEWEST = 1;

    private static final int REMEMBERED = 500;
    private static final Catalogue TABLES = Catalogue.standard();

    private final Cache<String, BatchPlan> recent = Caches.atMost(REMEMBERED).build();

    private final JsonMapper mapper = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .changeDefaultVisibility(v -> v.withGetterVisibility(Visibility.NONE)
                    .withIsGetterVisibility(Visibility.NONE)
                    .withFieldVisibility(Visibility.ANY))
            .build();

    private final SettingsCodec settings = new SettingsCodec(mapper);

    public String write(BatchPlan plan) {
        Formula f = plan.formula();
        ObjectNode kept = mapper.valueToTree(new Kept(
                plan.name(),
                f.fats().stream().map(PlanCodec::keep).toList(),
                f.alkali().naohShare().fraction(),
                f.alkali().naohPurity().fraction(),
                f.alkali().kohPurity().fraction(),
                f.alkali().kohCertified(),
                f.superfat().fraction(),
                f.liquidTarget().way(),
                f.liquidTarget().value(),
                f.liquidParts().stream()
                        .map(p -> new LiquidKept(p.liquid().id(), p.share().fraction(), null, p.joins(), p.state()))
                        .toList(),
                f.additives().stream().map(PlanCodec::keep).toList(),
                plan.mould(),
                keep(plan.pouring()),
                grams(f.fixed().lye()),
                grams(f.fixed().liquid()),
                plan.rework() == null ? null : keep(plan.rework()),
                plan.note()));
        kept.put(VERSION, NEWEST);
        settings.write(plan.settings(), kept);
        return mapper.writeValueAsString(kept);
    }

    /**
     * A kept plan is never changed, so it is read once and remembered.
     *
     * @throws UnknownField if it says something that this program does not know, or was written by a newer one
     * @throws RuntimeException of whatever kind, if the text is no plan or holds what cannot be
     */
    public BatchPlan read(String kept) {
        return recent.get(kept, text -> {
            BatchPlan plan = plan(text);
            PlanCheck.of(plan).throwIfAny();
            return plan;
        });
    }

    private static @Nullable Double grams(@Nullable Mass mass) {
        return mass == null ? null : mass.grams();
    }

    private static @Nullable Mass mass(@Nullable Double grams) {
        return grams == null ? null : Mass.grams(grams);
    }

    private static FatKept keep(FatPortion p) {
        Fat fat = p.fat();
        Fat known = TABLES.findFat(fat.id()).orElse(null);
        OwnFat own = known == null
                ? new OwnFat(fat.name(), likeId(fat), fat.saponificationValue(), fat.iodineValue(), fat.animal())
                : null;
        Double certified = known != null && known.saponificationValue() != fat.saponificationValue()
                        || known != null && !known.saponificationSpread().equals(fat.saponificationSpread())
                ? fat.saponificationValue()
                : null;
        return new FatKept(fat.id(), p.mass().grams(), p.lot(), certified, own, p.afterCook() ? true : null);
    }

    /** The fat of the tables that an own one has its acids from. */
    private static String likeId(Fat own) {
        return TABLES.fats().stream()
                .filter(f -> f.acids().equals(own.acids()))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("Impossible state: " + own.name() + " is like nothing"))
                .id();
    }

    private static AdditiveKept keep(AdditivePortion p) {
        return new AdditiveKept(
                p.additive().id(), p.mass().grams(), p.dose().way(), p.dose().value(), p.joins(), own(p.additive()));
    }

    private static @Nullable OwnFragrance own(Additive a) {
        return TABLES.findAdditive(a.id()).isPresent()
                ? null
                : new OwnFragrance(a.name(), a.cap(), a.effects(), a.scentAllergens(), a.note());
    }

    private static PouringKept keep(Pouring pouring) {
        return new PouringKept(
                pouring.sizedBy(),
                pouring.fillHeight(),
                pouring.overage().fraction(),
                pouring.spare(),
                pouring.thickness(),
                pouring.portioning().way(),
                pouring.portioning().stuck().fraction(),
                pouring.portioning().portions().stream().map(PlanCodec::keep).toList(),
                pouring.portioning().bowl(),
                pouring.portioning().route(),
                grams(pouring.cup()));
    }

    private static PortionKept keep(Portion p) {
        return new PortionKept(
                p.name(),
                p.top() == null ? null : p.top().points(),
                p.share().fraction(),
                p.additives().stream()
                        .map(a -> new ExtraKept(
                                a.additive().id(), a.dose().way(), a.dose().value(), own(a.additive()), a.joins()))
                        .toList(),
                p.liquids().stream()
                        .map(l -> new ExtraKept(
                                l.liquid().id(), l.dose().way(), l.dose().value(), null, null))
                        .toList());
    }

    private BatchPlan plan(String kept) {
        ObjectNode tree = (ObjectNode) mapper.readTree(kept);
        checkVersion(tree.remove(VERSION));
        Settings said = settings.take(tree);
        Kept k = known(tree);
        Formula formula = new Formula(
                k.fats().stream().map(PlanCodec::fat).toList(),
                new AlkaliChoice(
                        Share.fraction(k.naohShare()),
                        Share.fraction(k.naohPurity()),
                        Share.fraction(k.kohPurity()),
                        Boolean.TRUE.equals(k.kohCertified())),
                Share.fraction(k.superfat()),
                new LiquidTarget(k.liquidWay(), k.liquidValue()),
                k.liquids().stream()
                        .map(p -> new LiquidPart(
                                TABLES.liquid(p.id()),
                                Share.fraction(p.share()),
                                p.inState(),
                                p.joins() == null ? AdditionStage.LYE : p.joins()))
                        .toList(),
                k.additives().stream().map(PlanCodec::additive).toList(),
                // Kept beside what followed from them, which is not worked out anew: a batch stays what it was made
                // from.
                new FixedAmounts(mass(k.lyeGrams()), mass(k.liquidGrams())));
        return new BatchPlan(
                k.name(),
                formula,
                k.mould(),
                k.pouring() == null ? Pouring.PLAIN : pouring(k.pouring()),
                k.rework() == null ? null : rework(k.rework()),
                said,
                k.note());
    }

    private static void checkVersion(@Nullable JsonNode version) {
        if (version == null) {
            return;
        }
        if (!version.isInt() || version.intValue() < 1) {
            throw new UnknownField(
                    "says that it is of version " + version + ", and versions are whole numbers from 1 on");
        }
        if (version.intValue() > NEWEST) {
            throw new UnknownField(
                    "was written by a newer program, version " + version + ", and here " + NEWEST + " is the newest");
        }
    }

    /** What is not in the published format is no slip of the pen: it would be left out of a batch without a word. */
    private Kept known(ObjectNode tree) {
        try {
            return mapper.treeToValue(tree, Kept.class);
        } catch (UnrecognizedPropertyException e) {
            throw UnknownField.of("", e);
        }
    }

    private static ReworkKept keep(Rework rework) {
        return new ReworkKept(
                rework.scraps().stream().map(PlanCodec::keep).toList(),
                rework.added().stream().map(PlanCodec::keep).toList(),
                rework.water().grams(),
                rework.way());
    }

    private static ScrapKept keep(ScrapPortion s) {
        return new ScrapKept(
                s.id(),
                s.source(),
                s.name(),
                s.mass().grams(),
                s.fats().stream().map(PlanCodec::keep).toList(),
                s.naohShare().fraction(),
                s.superfat().value(),
                s.superfat().standardDeviation(),
                s.water().value(),
                s.water().standardDeviation(),
                s.otherOfFats(),
                s.reacted() ? null : true,
                List.copyOf(s.allergens()));
    }

    private static Rework rework(ReworkKept k) {
        return new Rework(
                k.scraps().stream()
                        .map(s -> new ScrapPortion(
                                s.id(),
                                s.source(),
                                s.name(),
                                Mass.grams(s.grams()),
                                s.fats().stream().map(PlanCodec::fat).toList(),
                                Share.fraction(s.naohShare()),
                                new Estimate(s.superfat(), s.superfatSpread()),
                                new Estimate(s.water(), s.waterSpread()),
                                s.otherOfFats(),
                                !Boolean.TRUE.equals(s.fresh()),
                                Set.copyOf(s.allergens())))
                        .toList(),
                k.added().stream().map(PlanCodec::fat).toList(),
                Mass.grams(k.waterGrams()),
                k.way());
    }

    private static FatPortion fat(FatKept p) {
        OwnFat own = p.own();
        Fat fat = own == null
                ? TABLES.fat(p.id())
                : TABLES.fat(own.likeId())
                        .ownLikeness(p.id(), own.name(), own.saponification(), own.iodine(), own.animal());
        return new FatPortion(
                p.certified() == null ? fat : fat.certified(p.certified()),
                Mass.grams(p.grams()),
                p.lot(),
                Boolean.TRUE.equals(p.afterCook()));
    }

    private static AdditivePortion additive(AdditiveKept p) {
        Additive additive = additive(p.id(), p.own());
        Mass mass = Mass.grams(p.grams());
        return p.way() == null || p.joins() == null
                ? new AdditivePortion(additive, mass)
                : new AdditivePortion(additive, mass, new Dose(p.way(), p.value()), p.joins());
    }

    private static Additive additive(String id, @Nullable OwnFragrance own) {
        return own == null
                ? TABLES.additive(id)
                : Additive.ownFragrance(id, own.name(), own.cap(), own.behaviour(), own.allergens(), own.note());
    }

    private static Pouring pouring(PouringKept p) {
        return new Pouring(
                p.sizedBy(),
                p.fillHeight(),
                Share.fraction(p.overage()),
                p.spare(),
                p.thickness(),
                new Portioning(
                        p.way(),
                        p.portions().stream().map(PlanCodec::portion).toList(),
                        Share.fraction(p.stuck()),
                        p.bowl(),
                        p.route() == null ? Portioning.LyeRoute.TOGETHER : p.route()),
                mass(p.cupGrams()));
    }

    private static Portion portion(PortionKept p) {
        return new Portion(
                p.name(),
                p.top() == null ? null : new Line(p.top()),
                Share.fraction(p.share()),
                p.additives().stream()
                        .map(a -> new Portion.OwnAdditive(
                                additive(a.id(), a.own()),
                                new Dose(a.way(), a.value()),
                                a.joins() == null ? AdditionStage.TRACE : a.joins()))
                        .toList(),
                p.liquids().stream()
                        .map(l -> new Portion.OwnLiquid(TABLES.liquid(l.id()), new Dose(l.way(), l.value())))
                        .toList());
    }
}
