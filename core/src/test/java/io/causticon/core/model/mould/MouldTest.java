package io.causticon.core.model.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class MouldTest {

    @ParameterizedTest
    @EnumSource(MouldKind.class)
    void waterAloneIsAMould(MouldKind kind) {
        Mould mould = Mould.ofWater("six", kind, 6, 60);
        assertThat(mould.volume()).isCloseTo(360, within(1e-9));
        assertThat(mould.capacity().grams()).isCloseTo(360, within(1e-9));
        assertThat(mould.sidesAreGuessed()).isTrue();
        assertThat(mould.fillHeight(mould.capacity())).isCloseTo(mould.height(), within(1e-9));
    }

    @Test
    void sidesThatWereMeasuredAreNotGuessed() {
        assertThat(new Mould("loaf", MouldKind.WOODEN_LOAF, 240, 85, 70, 1, 1400.0).sidesAreGuessed())
                .isFalse();
        assertThat(new Mould("loaf", MouldKind.WOODEN_LOAF, 240, 85, 70, 1).sidesAreGuessed())
                .isFalse();
    }
}
