package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import org.junit.jupiter.api.Test;

class PotHeatLossTest {

    private static final Temperature ROOM = Temperature.celsius(20);

    private static PotHeatLoss lye(double grams, PotVessel vessel) {
        return PotHeatLoss.lye(Mass.grams(grams), Share.percent(33), vessel);
    }

    private static PotHeatLoss fats(double grams, PotVessel vessel) {
        return PotHeatLoss.fats(Mass.grams(grams), vessel);
    }

    @Test
    void losesWhatTheTextbookCorrelationsGive() {
        // 500 g of oil in steel at 40 C: a cylinder of 0.0891 m. Side 0.02494 m2: convection 1.42 (20/0.0891)^0.25 =
        // 5.496, radiation 0.25 x 6.321 = 1.580,
        // with 55 inside 6.269 W/(m2 K). Surface 0.006235 m2: 5.109 + 0.93 x 6.321 = 10.987, inside 9.158. Base 4.
        // Times 20 K: 4.767 W.
        assertThat(fats(500, PotVessel.STEEL).lossWattsAt(Temperature.celsius(40), ROOM))
                .isCloseTo(4.767, within(0.005));
        assertThat(fats(500, PotVessel.STEEL).lossWattsAt(ROOM, ROOM)).isZero();
        assertThat(fats(500, PotVessel.STEEL).lossWattsAt(Temperature.celsius(15), ROOM))
                .isZero();
    }

    @Test
    void coolsAsTypicalJugsAndPotsDo() {
        // Typical at 20 K: 0.013 a minute for 300 g of lye in a jug, 0.010 for 500 g of fats in a pot, half as much
        // again either way.
        assertThat(lye(300, PotVessel.PLASTIC).inRoom(ROOM).rate()).isBetween(0.010, 0.016);
        assertThat(fats(500, PotVessel.STEEL).inRoom(ROOM).rate()).isBetween(0.0085, 0.0135);
    }

    @Test
    void aLargerPotCoolsMoreSlowly() {
        double small = lye(300, PotVessel.PLASTIC).inRoom(ROOM).rate();
        double large = lye(2400, PotVessel.PLASTIC).inRoom(ROOM).rate();
        assertThat(small / large).isBetween(1.8, 2.4);
    }

    @Test
    void brightSteelStaysWarmLonger() {
        assertThat(fats(800, PotVessel.PLASTIC).inRoom(ROOM).rate())
                .isGreaterThan(1.2 * fats(800, PotVessel.STEEL).inRoom(ROOM).rate());
        assertThat(fats(800, PotVessel.ENAMEL).inRoom(ROOM).rate())
                .isGreaterThan(1.2 * fats(800, PotVessel.STEEL).inRoom(ROOM).rate());
        assertThat(fats(800, PotVessel.WOOD).inRoom(ROOM).rate())
                .isLessThan(fats(800, PotVessel.PLASTIC).inRoom(ROOM).rate());
    }

    @Test
    void lyeSlowsDownMoreThanFatsBecauseItEvaporates() {
        double lye = lye(300, PotVessel.PLASTIC).inRoom(ROOM).excess();
        double fats = fats(500, PotVessel.STEEL).inRoom(ROOM).excess();
        assertThat(fats).isBetween(0.10, 0.25);
        assertThat(lye).isBetween(fats + 0.1, 0.5);
        assertThat(PotHeatLoss.lye(Mass.grams(300), Share.percent(45), PotVessel.PLASTIC)
                        .inRoom(ROOM)
                        .excess())
                .isLessThan(lye);
    }

    @Test
    void theLawThatIsLaidThroughStaysNearTheLosses() {
        // The law against the losses themselves, stepped: what it costs to have one formula for them.
        for (PotHeatLoss pot :
                new PotHeatLoss[] {lye(400, PotVessel.STEEL), lye(400, PotVessel.PLASTIC), fats(900, PotVessel.STEEL)
                }) {
            double t = 80;
            double minutes = 0;
            while (t > 40) {
                t -= pot.lossWattsAt(Temperature.celsius(t), ROOM) / pot.heatCapacity() * 6;
                minutes += 0.1;
            }
            double told = pot.inRoom(ROOM).body(Temperature.celsius(80), ROOM).minutesTo(Temperature.celsius(40));
            assertThat(told / minutes).isBetween(0.96, 1.04);
        }
    }

    @Test
    void iceWaterWorksFastThroughSteelAndSlowlyThroughPlastic() {
        // About 300 g of lye: plastic 0.04, steel 0.14 to 0.3 a minute.
        assertThat(lye(300, PotVessel.PLASTIC).inBath().rate()).isBetween(0.03, 0.07);
        assertThat(lye(300, PotVessel.STEEL).inBath().rate()).isBetween(0.13, 0.3);
        assertThat(fats(500, PotVessel.STEEL).inBath().rate()).isBetween(0.05, 0.1);
    }
}
