package io.causticon.web.places.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import org.junit.jupiter.api.Test;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;

/** Rows of a recipe change places. */
class RowOrderTest {

    private static PlanForm form(String way) {
        MultiValueMap<String, String> typed = new LinkedMultiValueMap<>();
        typed.add("portionWay", way);
        for (String[] fat : new String[][] {{"olive-oil", "500"}, {"coconut-oil-76", "250"}, {"shea-butter", "90"}}) {
            typed.add("fatId", fat[0]);
            typed.add("fatAmount", fat[1]);
        }
        typed.add("fatLock", "1");
        for (String[] part : new String[][] {
            {"sand", "22", "clay-white"}, {"foam", "20 34 20", "titanium-dioxide"}, {"kelp", "", "spirulina"}
        }) {
            typed.add("portionName", part[0]);
            typed.add("portionAmount", part[1]);
            typed.add("portionAdditiveId", part[2]);
        }
        return PlanForm.typed(typed);
    }

    @Test
    void aFatTakesItsMassAndItsLockAlong() {
        PlanForm moved = Composer.up(form("WHOLE"), "fat", 1);
        assertThat(moved.fats())
                .containsExactly(
                        new PlanForm.FatRow("coconut-oil-76", "250", true),
                        new PlanForm.FatRow("olive-oil", "500", false),
                        new PlanForm.FatRow("shea-butter", "90", false));
        // What is sent again says the same.
        assertThat(PlanForm.typed(moved.fields()).fats()).isEqualTo(moved.fats());
    }

    @Test
    void layersChangePlacesAndTheirLinesStay() {
        PlanForm moved = Composer.up(form("LAYERS"), "part", 1);
        assertThat(moved.portions()).extracting(PlanForm.PortionRow::name).containsExactly("foam", "sand", "kelp");
        assertThat(moved.portions()).extracting(PlanForm.PortionRow::amount).containsExactly("22", "20 34 20", "");
        assertThat(moved.portions())
                .extracting(PlanForm.PortionRow::additiveId)
                .containsExactly("titanium-dioxide", "clay-white", "spirulina");
    }

    @Test
    void sharesGoWithTheirPart() {
        assertThat(Composer.up(form("SHARES"), "part", 2).portions())
                .extracting(PlanForm.PortionRow::name, PlanForm.PortionRow::amount)
                .containsExactly(tuple("sand", "22"), tuple("kelp", ""), tuple("foam", "20 34 20"));
    }

    @Test
    void whatIsNotThereMovesNothing() {
        PlanForm form = form("WHOLE");
        assertThat(Composer.up(form, "fat", 0)).isEqualTo(form);
        assertThat(Composer.up(form, "fat", 3)).isEqualTo(form);
        assertThat(Composer.up(form, "additive", 1)).isEqualTo(form);
        assertThat(Composer.up(form, "mould", 1)).isEqualTo(form);
        assertThat(Composer.up(form, "fat", -1)).isEqualTo(form);
    }
}
