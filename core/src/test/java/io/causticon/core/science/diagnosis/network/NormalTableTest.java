package io.causticon.core.science.diagnosis.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;

class NormalTableTest {

    @Test
    void isTheDistributionFunction() {
        NormalDistribution normal = new NormalDistribution();
        Random random = new Random(5);
        for (int i = 0; i < 20_000; i++) {
            double z = 13 * random.nextDouble() - 6.5;
            double wanted = Math.abs(z) < NormalTable.FAR ? normal.cumulativeProbability(z) : z < 0 ? 0 : 1;
            assertThat(NormalTable.below(z)).isCloseTo(wanted, within(1e-10));
        }
        assertThat(NormalTable.below(0)).isEqualTo(.5);
        assertThat(NormalTable.below(-1e9)).isZero();
        assertThat(NormalTable.below(1e9)).isEqualTo(1);
    }

    @Test
    void neverFalls() {
        double before = 0;
        for (double z = -6.2; z < 6.2; z += 1e-3) {
            double now = NormalTable.below(z);
            assertThat(now).isGreaterThanOrEqualTo(before - 1e-12);
            before = now;
        }
    }
}
