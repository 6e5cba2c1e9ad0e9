package io.causticon.core.science.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Share;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Recipes worked step by step, apart from this code, from saponification values (mg KOH per g) and molar masses (KOH 56.106, NaOH 39.997 g/mol; acetic 60.052,
 * lactic 90.078, citric 192.124 with three equivalents), each with its working above it. They agree to 0.1 g.
 */
class ReferenceRecipesTest {

    private static final double TOLERANCE = 0.1;
    private static final Units GRAMS = Units.METRIC;

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            # name | fats | superfat % | NaOH of pure alkali % | NaOH purity % | KOH purity % | liquid: Concentration %, Ratio, Per cent of fats | liquids, % | additives, g | NaOH g | KOH g | water g | liquid g | first step %
            # 1000 x 190 = 190000 mg KOH = 3.38645 mol
            # alkali 3.38645 x 0.95 = 3.21712 mol x 39.997 = 128.68 g NaOH
            # water 128.68 x 67 / 33 = 261.25 g
            one kilogram of olive | olive-oil 1000 g | 5 | 100 | 100 | 90 | C 33 | distilled-water 100 |  | 128.68 | 0.00 | 261.25 | 261.25 | 33.00
            # 800 x 256 = 204800 mg KOH = 3.65023 mol
            # alkali 3.65023 x 0.8 = 2.92019 mol x 39.997 = 116.80 g NaOH
            # water 116.80 x 67 / 33 = 237.14 g
            coconut alone at a fifth superfat | coconut-oil-76 800 g | 20 | 100 | 100 | 90 | C 33 | distilled-water 100 |  | 116.80 | 0.00 | 237.14 | 237.14 | 33.00
            # 750 x 196 = 147000 mg KOH = 2.62004 mol
            # alkali 2.62004 x 1 = 2.62004 mol x 39.997 = 104.79 g NaOH
            # water 104.79 x 70 / 30 = 244.52 g
            lard; no discount | lard 750 g | 0 | 100 | 100 | 90 | C 30 | distilled-water 100 |  | 104.79 | 0.00 | 244.52 | 244.52 | 30.00
            # 1200 x 196 = 235200 mg KOH = 4.19207 mol
            # alkali 4.19207 x 0.98 = 4.10822 mol x 39.997 = 164.32 g NaOH
            # water 164.32 x 65 / 35 = 305.16 g
            beef tallow for laundry | tallow-beef 1200 g | 2 | 100 | 100 | 90 | C 35 | distilled-water 100 |  | 164.32 | 0.00 | 305.16 | 305.16 | 35.00
            # 500 x 199 = 99500 mg KOH = 1.77343 mol
            # alkali 1.77343 x 0.95 = 1.68476 mol x 39.997 = 67.39 g NaOH
            # water 67.39 x 67 / 33 = 136.81 g
            palm | palm-oil 500 g | 5 | 100 | 100 | 90 | C 33 | distilled-water 100 |  | 67.39 | 0.00 | 136.81 | 136.81 | 33.00
            # 400 x 178.5 = 71400 mg KOH = 1.27259 mol
            # alkali 1.27259 x 0.93 = 1.18351 mol x 39.997 = 47.34 g NaOH
            # water 47.34 x 72 / 28 = 121.72 g
            shea | shea-butter 400 g | 7 | 100 | 100 | 90 | C 28 | distilled-water 100 |  | 47.34 | 0.00 | 121.72 | 121.72 | 28.00
            # 250 x 180 = 45000 mg KOH = 0.80205 mol
            # alkali 0.80205 x 0.95 = 0.76195 mol x 39.997 = 30.48 g NaOH
            # water 30.48 x 67 / 33 = 61.87 g
            castor | castor-oil 250 g | 5 | 100 | 100 | 90 | C 33 | distilled-water 100 |  | 30.48 | 0.00 | 61.87 | 61.87 | 33.00
            # 300 x 208 = 62400 mg KOH = 1.11218 mol
            # alkali 1.11218 x 1 = 1.11218 mol x 39.997 = 44.48 g NaOH
            # water 44.48 x 75 / 25 = 133.45 g
            stearic acid; a free acid | stearic-acid 300 g | 0 | 100 | 100 | 90 | C 25 | distilled-water 100 |  | 44.48 | 0.00 | 133.45 | 133.45 | 25.00
            # 100 x 94 = 9400 mg KOH = 0.16754 mol
            # alkali 0.16754 x 1 = 0.16754 mol x 39.997 = 6.70 g NaOH
            # water 6.70 x 75 / 25 = 20.10 g
            beeswax; an ester without theory | beeswax 100 g | 0 | 100 | 100 | 90 | C 25 | distilled-water 100 |  | 6.70 | 0.00 | 20.10 | 20.10 | 25.00
            # 60 x 190 + 25 x 256 + 15 x 178.5 = 20478 mg KOH = 0.36498 mol
            # alkali 0.36498 x 0.95 = 0.34673 mol x 39.997 = 13.87 g NaOH
            # water 13.87 x 67 / 33 = 28.16 g
            a test bar | olive-oil 60 g + coconut-oil-76 25 g + shea-butter 15 g | 5 | 100 | 100 | 90 | C 33 | distilled-water 100 |  | 13.87 | 0.00 | 28.16 | 28.16 | 33.00
            # 500 x 190 + 300 x 256 + 200 x 178.5 = 207500 mg KOH = 3.69836 mol
            # alkali 3.69836 x 0.95 = 3.51344 mol x 39.997 = 140.53 g NaOH
            # water 140.53 x 67 / 33 = 285.31 g
            three fats | olive-oil 500 g + coconut-oil-76 300 g + shea-butter 200 g | 5 | 100 | 100 | 90 | C 33 | distilled-water 100 |  | 140.53 | 0.00 | 285.31 | 285.31 | 33.00
            # 420 x 190 + 220 x 196 + 200 x 256 + 60 x 180 = 184920 mg KOH = 3.29590 mol
            # alkali 3.29590 x 0.95 = 3.13111 mol x 39.997 = 125.23 g NaOH
            # water 125.23 x 67 / 33 = 254.26 g
            four fats | olive-oil 420 g + lard 220 g + coconut-oil-76 200 g + castor-oil 60 g | 5 | 100 | 100 | 90 | C 33 | distilled-water 100 |  | 125.23 | 0.00 | 254.26 | 254.26 | 33.00
            # 504 x 190 + 264 x 196 + 240 x 256 + 96 x 178.5 + 60 x 194 + 36 x 180 = 244200 mg KOH = 4.35248 mol
            # alkali 4.35248 x 0.95 = 4.13485 mol x 39.997 = 165.38 g NaOH
            # water 165.38 x 67 / 33 = 335.77 g
            six fats | olive-oil 504 g + lard 264 g + coconut-oil-76 240 g + shea-butter 96 g + cocoa-butter 60 g + castor-oil 36 g | 5 | 100 | 100 | 90 | C 33 | distilled-water 100 |  | 165.38 | 0.00 | 335.77 | 335.77 | 33.00
            # 700 x 256 + 200 x 190 + 100 x 178.5 = 235050 mg KOH = 4.18939 mol
            # alkali 4.18939 x 0.85 = 3.56098 mol x 39.997 = 142.43 g NaOH
            # water 142.43 x 70 / 30 = 332.33 g
            salt bar fats | coconut-oil-76 700 g + olive-oil 200 g + shea-butter 100 g | 15 | 100 | 100 | 90 | C 30 | distilled-water 100 |  | 142.43 | 0.00 | 332.33 | 332.33 | 30.00
            # 500 x 196 + 500 x 256 = 226000 mg KOH = 4.02809 mol
            # alkali 4.02809 x 1.02 = 4.10865 mol x 39.997 = 164.33 g NaOH
            # water 164.33 x 67 / 33 = 333.65 g
            negative superfat for a cleaner | tallow-beef 500 g + coconut-oil-76 500 g | -2 | 100 | 100 | 90 | C 33 | distilled-water 100 |  | 164.33 | 0.00 | 333.65 | 333.65 | 33.00
            # 700 x 190 + 300 x 256 = 209800 mg KOH = 3.73935 mol
            # alkali 3.73935 x 0.95 = 3.55238 mol x 39.997 = 142.08 g NaOH
            # water 142.08 x 2 = 284.17 g
            ratio two to one | olive-oil 700 g + coconut-oil-76 300 g | 5 | 100 | 100 | 90 | R 2 | distilled-water 100 |  | 142.08 | 0.00 | 284.17 | 284.17 | 33.33
            # 1000 x 190 = 190000 mg KOH = 3.38645 mol
            # alkali 3.38645 x 0.95 = 3.21712 mol x 39.997 = 128.68 g NaOH
            # water 128.68 x 3.5 = 450.36 g
            ratio three and a half | olive-oil 1000 g | 5 | 100 | 100 | 90 | R 3.5 | distilled-water 100 |  | 128.68 | 0.00 | 450.36 | 450.36 | 22.22
            # 700 x 190 + 300 x 256 = 209800 mg KOH = 3.73935 mol
            # alkali 3.73935 x 0.95 = 3.55238 mol x 39.997 = 142.08 g NaOH
            # water 142.08 x 1 = 142.08 g
            its own mass of water | olive-oil 700 g + coconut-oil-76 300 g | 5 | 100 | 100 | 90 | R 1 | distilled-water 100 |  | 142.08 | 0.00 | 142.08 | 142.08 | 50.00
            # 700 x 190 + 300 x 256 = 209800 mg KOH = 3.73935 mol
            # alkali 3.73935 x 0.95 = 3.55238 mol x 39.997 = 142.08 g NaOH
            # water 1000.00 x 0.33 = 330.00 g
            water as a share of fats | olive-oil 700 g + coconut-oil-76 300 g | 5 | 100 | 100 | 90 | P 33 | distilled-water 100 |  | 142.08 | 0.00 | 330.00 | 330.00 | 30.10
            # 900 x 196 + 100 x 256 = 202000 mg KOH = 3.60033 mol
            # alkali 3.60033 x 0.95 = 3.42031 mol x 39.997 = 136.80 g NaOH
            # water 1000.00 x 0.2 = 200.00 g
            water as 20 % of fats | lard 900 g + coconut-oil-76 100 g | 5 | 100 | 100 | 90 | P 20 | distilled-water 100 |  | 136.80 | 0.00 | 200.00 | 200.00 | 40.62
            # 1000 x 190 = 190000 mg KOH = 3.38645 mol
            # alkali 3.38645 x 0.95 = 3.21712 mol x 39.997 / 0.97 = 132.65 g NaOH
            # water 132.65 x 67 / 33 = 269.33 g
            lye of 97 % | olive-oil 1000 g | 5 | 100 | 97 | 90 | C 33 | distilled-water 100 |  | 132.65 | 0.00 | 269.33 | 269.33 | 33.00
            # 500 x 190 + 300 x 256 + 200 x 178.5 = 207500 mg KOH = 3.69836 mol
            # alkali 3.69836 x 0.95 = 3.51344 mol x 39.997 / 0.98 = 143.39 g NaOH
            # water 143.39 x 67 / 33 = 291.14 g
            lye of 98 % | olive-oil 500 g + coconut-oil-76 300 g + shea-butter 200 g | 5 | 100 | 98 | 90 | C 33 | distilled-water 100 |  | 143.39 | 0.00 | 291.14 | 291.14 | 33.00
            # 600 x 199 + 400 x 187 = 194200 mg KOH = 3.46131 mol
            # alkali 3.46131 x 0.94 = 3.25363 mol x 39.997 / 0.992 = 131.18 g NaOH
            # water 131.18 x 69 / 31 = 291.99 g
            lye of 99.2 % in a dual recipe | palm-oil 600 g + rice-bran-oil 400 g | 6 | 100 | 99.2 | 90 | C 31 | distilled-water 100 |  | 131.18 | 0.00 | 291.99 | 291.99 | 31.00
            # 600 x 190 + 200 x 256 + 200 x 180 = 201200 mg KOH = 3.58607 mol
            # alkali 3.58607 x 0.97 = 3.47849 mol x 56.106 / 0.9 = 216.85 g KOH
            # water 216.85 x 3 = 650.55 g
            all potassium; 90 % | olive-oil 600 g + coconut-oil-76 200 g + castor-oil 200 g | 3 | 0 | 98 | 90 | R 3 | distilled-water 100 |  | 0.00 | 216.85 | 650.55 | 650.55 | 25.00
            # 800 x 190.5 + 200 x 256 = 203600 mg KOH = 3.62885 mol
            # alkali 3.62885 x 0.99 = 3.59256 mol x 56.106 / 0.85 = 237.13 g KOH
            # water 1000.00 x 0.4 = 400.00 g
            all potassium; 85 % | sunflower-oil 800 g + coconut-oil-76 200 g | 1 | 0 | 98 | 85 | P 40 | distilled-water 100 |  | 0.00 | 237.13 | 400.00 | 400.00 | 37.22
            # 500 x 208 + 250 x 256 + 250 x 196 = 217000 mg KOH = 3.86768 mol
            # alkali 3.86768 x 0.96 = 3.71297 mol; a gram of pure alkali is 0.6/39.997 + 0.4/56.106 = 0.0221305 mol: 167.78 g pure, 102.72 g NaOH and 74.57 g KOH as bought
            # water 177.29 x 72 / 28 = 455.88 g
            shaving soap; 60 : 40 | stearic-acid 500 g + coconut-oil-76 250 g + tallow-beef 250 g | 4 | 60 | 98 | 90 | C 28 | distilled-water 100 |  | 102.72 | 74.57 | 455.88 | 455.88 | 28.00
            # 400 x 208 + 300 x 190 + 300 x 256 = 217000 mg KOH = 3.86768 mol
            # alkali 3.86768 x 0.98 = 3.79033 mol; a gram of pure alkali is 0.3/39.997 + 0.7/56.106 = 0.0199769 mol: 189.73 g pure, 56.92 g NaOH and 147.57 g KOH as bought
            # water 204.49 x 70 / 30 = 477.15 g
            a cream soap; 30 : 70 | stearic-acid 400 g + olive-oil 300 g + coconut-oil-76 300 g | 2 | 30 | 100 | 90 | C 30 | distilled-water 100 |  | 56.92 | 147.57 | 477.15 | 477.15 | 30.00
            # 900 x 190 + 100 x 180 = 189000 mg KOH = 3.36862 mol
            # alkali 3.36862 x 0.95 = 3.20019 mol; a gram of pure alkali is 0.95/39.997 + 0.05/56.106 = 0.0246430 mol: 129.86 g pure, 125.89 g NaOH and 7.21 g KOH as bought
            # water 133.10 x 67 / 33 = 270.24 g
            a trace of potassium; 95 : 5 | olive-oil 900 g + castor-oil 100 g | 5 | 95 | 98 | 90 | C 33 | distilled-water 100 |  | 125.89 | 7.21 | 270.24 | 270.24 | 33.00
            # 500 x 196 + 500 x 256 = 226000 mg KOH = 4.02809 mol
            # alkali 4.02809 x 0.95 = 3.82669 mol; a gram of pure alkali is 0.5/39.997 + 0.5/56.106 = 0.0214126 mol: 178.71 g pure, 91.18 g NaOH and 101.54 g KOH as bought
            # water 192.72 x 70 / 30 = 449.68 g
            half and half | lard 500 g + coconut-oil-76 500 g | 5 | 50 | 98 | 88 | C 30 | distilled-water 100 |  | 91.18 | 101.54 | 449.68 | 449.68 | 30.00
            # 700 x 190 + 300 x 256 = 209800 mg KOH = 3.73935 mol
            # acid of 326.93 g liquid: 0.27220 mol
            # alkali 3.73935 x 0.95 + 0.27220 = 3.82459 mol x 39.997 = 152.97 g NaOH
            # water 152.97 x 67 / 33 = 310.58 g; liquid 310.58 / 0.9500 = 326.93 g
            vinegar as the whole liquid | olive-oil 700 g + coconut-oil-76 300 g | 5 | 100 | 100 | 90 | C 33 | vinegar-5 100 |  | 152.97 | 0.00 | 310.58 | 326.93 | 33.00
            # 800 x 190 + 200 x 256 = 203200 mg KOH = 3.62172 mol
            # acid of 297.88 g liquid: 0.08185 mol
            # alkali 3.62172 x 0.95 + 0.08185 = 3.52248 mol x 39.997 / 0.98 = 143.76 g NaOH
            # water 143.76 x 67 / 33 = 291.88 g; liquid 291.88 / 0.9799 = 297.88 g
            a third cider vinegar | olive-oil 800 g + coconut-oil-76 200 g | 5 | 100 | 98 | 90 | C 33 | distilled-water 67 + cider-vinegar-5 33 |  | 143.76 | 0.00 | 291.88 | 297.88 | 33.00
            # 1000 x 190 = 190000 mg KOH = 3.38645 mol
            # fat of 331.57 g liquid: 0.00113 mol
            # acid of 331.57 g liquid: 0.12426 mol
            # alkali 3.38757 x 0.95 + 0.12426 = 3.34245 mol x 39.997 / 0.98 = 136.42 g NaOH
            # water 136.42 x 70 / 30 = 318.30 g; liquid 318.30 / 0.9600 = 331.57 g
            lemon juice | olive-oil 1000 g | 5 | 100 | 98 | 90 | C 30 | lemon-juice 50 + distilled-water 50 |  | 136.42 | 0.00 | 318.30 | 331.57 | 30.00
            # 650 x 190 + 250 x 256 + 100 x 178.5 = 205350 mg KOH = 3.66004 mol
            # acid of 302.90 g liquid: 0.05044 mol
            # alkali 3.66004 x 0.95 + 0.05044 = 3.52747 mol x 39.997 / 0.98 = 143.97 g NaOH
            # water 143.97 x 67 / 33 = 292.30 g; liquid 292.30 / 0.9650 = 302.90 g
            kombucha | olive-oil 650 g + coconut-oil-76 250 g + shea-butter 100 g | 5 | 100 | 98 | 90 | C 33 | kombucha 100 |  | 143.97 | 0.00 | 292.30 | 302.90 | 33.00
            # 650 x 190 + 250 x 256 + 100 x 178.5 = 205350 mg KOH = 3.66004 mol
            # fat of 316.26 g liquid: 0.01154 mol
            # acid of 316.26 g liquid: 0.02809 mol
            # alkali 3.67158 x 0.93 + 0.02809 = 3.44266 mol x 39.997 / 0.98 = 140.51 g NaOH
            # water 140.51 x 67 / 33 = 285.27 g; liquid 285.27 / 0.9020 = 316.26 g
            buttermilk; lactic acid and a little butterfat | olive-oil 650 g + coconut-oil-76 250 g + shea-butter 100 g | 7 | 100 | 98 | 90 | C 33 | buttermilk 100 |  | 140.51 | 0.00 | 285.27 | 316.26 | 33.00
            # 1000 x 190 = 190000 mg KOH = 3.38645 mol
            # acid of 302.49 g liquid: 0.02362 mol
            # alkali 3.38645 x 0.95 + 0.02362 = 3.24074 mol x 39.997 = 129.62 g NaOH
            # water 129.62 x 67 / 33 = 263.17 g; liquid 263.17 / 0.8700 = 302.49 g
            wine | olive-oil 1000 g | 5 | 100 | 100 | 90 | C 33 | wine 100 |  | 129.62 | 0.00 | 263.17 | 302.49 | 33.00
            # 700 x 190 + 300 x 256 = 209800 mg KOH = 3.73935 mol
            # acid added: 10 x 3 / 192.124 = 0.15615 mol
            # alkali 3.73935 x 0.95 + 0.15615 = 3.70853 mol x 39.997 / 0.98 = 151.36 g NaOH
            # water 151.36 x 67 / 33 = 307.30 g
            citric acid as a chelator | olive-oil 700 g + coconut-oil-76 300 g | 5 | 100 | 98 | 90 | C 33 | distilled-water 100 | citric-acid 10 | 151.36 | 0.00 | 307.30 | 307.30 | 33.00
            # 700 x 190 + 300 x 256 = 209800 mg KOH = 3.73935 mol
            # acid added: 15 x 3 / 192.124 = 0.23422 mol
            # alkali 3.73935 x 0.97 + 0.23422 = 3.86139 mol x 56.106 / 0.9 = 240.72 g KOH
            # water 240.72 x 3 = 722.16 g
            citric acid with potassium | olive-oil 700 g + coconut-oil-76 300 g | 3 | 0 | 98 | 90 | R 3 | distilled-water 100 | citric-acid 15 | 0.00 | 240.72 | 722.16 | 722.16 | 25.00
            # 1000 x 190 = 190000 mg KOH = 3.38645 mol
            # acid of 295.41 g liquid: 0.04919 mol
            # acid added: 6 x 3 / 192.124 = 0.09369 mol
            # alkali 3.38645 x 1 + 0.04919 + 0.09369 = 3.52933 mol x 39.997 / 0.98 = 144.04 g NaOH
            # water 144.04 x 67 / 33 = 292.45 g; liquid 292.45 / 0.9900 = 295.41 g
            citric acid and vinegar together | olive-oil 1000 g | 0 | 100 | 98 | 90 | C 33 | distilled-water 80 + vinegar-5 20 | citric-acid 6 | 144.04 | 0.00 | 292.45 | 295.41 | 33.00
            # 650 x 190 + 250 x 256 + 100 x 178.5 = 205350 mg KOH = 3.66004 mol
            # fat of 329.57 g liquid: 0.05479 mol
            # acid of 329.57 g liquid: 0.00549 mol
            # alkali 3.71483 x 0.93 + 0.00549 = 3.46028 mol x 39.997 / 0.98 = 141.23 g NaOH
            # water 141.23 x 67 / 33 = 286.73 g; liquid 286.73 / 0.8700 = 329.57 g
            goat milk | olive-oil 650 g + coconut-oil-76 250 g + shea-butter 100 g | 7 | 100 | 98 | 90 | C 33 | goat-milk-whole 100 |  | 141.23 | 0.00 | 286.73 | 329.57 | 33.00
            # 1000 x 190 = 190000 mg KOH = 3.38645 mol
            # fat of 356.29 g liquid: 0.26005 mol
            # acid of 356.29 g liquid: 0.00198 mol
            # alkali 3.64649 x 0.95 + 0.00198 = 3.46615 mol x 39.997 = 138.64 g NaOH
            # water 138.64 x 67 / 33 = 281.47 g; liquid 281.47 / 0.7900 = 356.29 g
            half cream | olive-oil 1000 g | 5 | 100 | 100 | 90 | C 33 | distilled-water 50 + heavy-cream-36 50 |  | 138.64 | 0.00 | 281.47 | 356.29 | 33.00
            # 600 x 190 + 400 x 256 = 216400 mg KOH = 3.85698 mol
            # fat of 654.12 g liquid: 0.95484 mol
            # acid of 654.12 g liquid: 0.00726 mol
            # alkali 4.81183 x 0.95 + 0.00726 = 4.57850 mol x 39.997 / 0.98 = 186.86 g NaOH
            # water 186.86 x 67 / 33 = 379.39 g; liquid 379.39 / 0.5800 = 654.12 g
            cream alone | olive-oil 600 g + coconut-oil-76 400 g | 5 | 100 | 98 | 90 | C 33 | heavy-cream-36 100 |  | 186.86 | 0.00 | 379.39 | 654.12 | 33.00
            # 700 x 190 + 300 x 196 = 191800 mg KOH = 3.41853 mol
            # fat of 416.34 g liquid: 0.38943 mol
            # alkali 3.80796 x 0.95 = 3.61756 mol x 39.997 / 0.98 = 147.64 g NaOH
            # water 147.64 x 67 / 33 = 299.76 g; liquid 299.76 / 0.7200 = 416.34 g
            coconut milk | olive-oil 700 g + lard 300 g | 5 | 100 | 98 | 90 | C 33 | coconut-milk-canned 100 |  | 147.64 | 0.00 | 299.76 | 416.34 | 33.00
            # 1000 x 190 = 190000 mg KOH = 3.38645 mol
            # fat of 360.58 g liquid: 0.21054 mol
            # acid of 360.58 g liquid: 0.00160 mol
            # alkali 3.59699 x 0.95 + 0.00160 = 3.41874 mol x 39.997 / 0.98 = 139.53 g NaOH
            # water 1000.00 x 0.3 = 300.00 g; liquid 300.00 / 0.8320 = 360.58 g
            cream by share of fats | olive-oil 1000 g | 5 | 100 | 98 | 90 | P 30 | heavy-cream-36 40 + distilled-water 60 |  | 139.53 | 0.00 | 300.00 | 360.58 | 31.75
            # 650 x 190 + 250 x 256 + 100 x 178.5 = 205350 mg KOH = 3.66004 mol
            # fat of 303.97 g liquid: 0.02527 mol
            # acid of 303.97 g liquid: 0.00253 mol
            # alkali 3.68530 x 0.93 + 0.00253 = 3.42986 mol x 39.997 / 0.98 = 139.98 g NaOH
            # water 139.98 x 67 / 33 = 284.21 g; liquid 284.21 / 0.9350 = 303.97 g
            # first step: 139.98 / (139.98 + 151.98) = 47.94 %
            split: strong lye; milk at emulsion | olive-oil 650 g + coconut-oil-76 250 g + shea-butter 100 g | 7 | 100 | 98 | 90 | C 33 | distilled-water 50 + goat-milk-whole 50 later |  | 139.98 | 0.00 | 284.21 | 303.97 | 47.94
            # 700 x 190 + 300 x 256 = 209800 mg KOH = 3.73935 mol
            # fat of 407.99 g liquid: 0.23822 mol
            # acid of 407.99 g liquid: 0.00181 mol
            # alkali 3.97757 x 0.95 + 0.00181 = 3.78051 mol x 39.997 / 0.98 = 154.29 g NaOH
            # water 154.29 x 2.2 = 339.45 g; liquid 339.45 / 0.8320 = 407.99 g
            # first step: 154.29 / (154.29 + 244.79) = 38.66 %
            split with cream at trace | olive-oil 700 g + coconut-oil-76 300 g | 5 | 100 | 98 | 90 | R 2.2 | distilled-water 60 + heavy-cream-36 40 later |  | 154.29 | 0.00 | 339.45 | 407.99 | 38.66
            # 700 x 190 + 300 x 196 = 191800 mg KOH = 3.41853 mol
            # acid of 291.76 g liquid: 0.00292 mol
            # alkali 3.41853 x 0.95 + 0.00292 = 3.25052 mol x 39.997 / 0.98 = 132.66 g NaOH
            # water 132.66 x 68 / 32 = 281.91 g; liquid 281.91 / 0.9663 = 291.76 g
            # first step: 132.66 / (132.66 + 160.47) = 45.26 %
            split beer | olive-oil 700 g + tallow-beef 300 g | 5 | 100 | 98 | 90 | C 32 | distilled-water 55 + beer-flat 45 later |  | 132.66 | 0.00 | 281.91 | 291.76 | 45.26
            # 1000 x 256 = 256000 mg KOH = 4.56279 mol
            # alkali 4.56279 x 0.85 = 3.87837 mol x 39.997 / 0.98 = 158.29 g NaOH
            # water 158.29 x 70 / 30 = 369.34 g; liquid 369.34 / 0.7500 = 492.45 g
            brine | coconut-oil-76 1000 g | 15 | 100 | 98 | 90 | C 30 | brine-25 100 |  | 158.29 | 0.00 | 369.34 | 492.45 | 30.00
            # 510.29 x 190 + 226.8 x 256 = 155015 mg KOH = 2.76290 mol
            # alkali 2.76290 x 0.95 = 2.62475 mol x 39.997 / 0.98 = 107.12 g NaOH
            # water 107.12 x 67 / 33 = 217.50 g
            pounds and ounces | olive-oil 1 lb 2 oz + coconut-oil-76 8 oz | 5 | 100 | 98 | 90 | C 33 | distilled-water 100 |  | 107.12 | 0.00 | 217.50 | 217.50 | 33.00
            # 566.99 x 196 + 240.97 x 256 + 42.52 x 180 = 180473 mg KOH = 3.21664 mol
            # alkali 3.21664 x 0.94 = 3.02365 mol x 39.997 / 0.98 = 123.40 g NaOH
            # water 123.40 x 2 = 246.81 g
            ounces | lard 20 oz + coconut-oil-76 8.5 oz + castor-oil 1.5 oz | 6 | 100 | 98 | 90 | R 2 | distilled-water 100 |  | 123.40 | 0.00 | 246.81 | 246.81 | 33.33
            # 1200 x 199 + 1800 x 190 = 580800 mg KOH = 10.35183 mol
            # alkali 10.35183 x 0.95 = 9.83424 mol x 39.997 / 0.98 = 401.37 g NaOH
            # water 401.37 x 67 / 33 = 814.90 g
            kilograms | palm-oil 1.2 kg + olive-oil 1.8 kg | 5 | 100 | 98 | 90 | C 33 | distilled-water 100 |  | 401.37 | 0.00 | 814.90 | 814.90 | 33.00
            # 2000 x 190 + 1250 x 256 + 750 x 178.5 + 600 x 187 + 400 x 180 = 1018075 mg KOH = 18.14556 mol
            # alkali 18.14556 x 0.95 = 17.23829 mol x 39.997 / 0.98 = 703.55 g NaOH
            # water 703.55 x 67 / 33 = 1428.42 g
            five kilograms of many | olive-oil 2 kg + coconut-oil-76 1.25 kg + shea-butter 0.75 kg + rice-bran-oil 0.6 kg + castor-oil 0.4 kg | 5 | 100 | 98 | 90 | C 33 | distilled-water 100 |  | 703.55 | 0.00 | 1428.42 | 1428.42 | 33.00
            """)
    void agreeWithTheHand(
            String name,
            String fats,
            double superfat,
            double naohShare,
            double naohPurity,
            double kohPurity,
            String target,
            String liquids,
            String additives,
            double naoh,
            double koh,
            double water,
            double liquid,
            double firstStep) {
        Formula formula = new Formula(
                fats(fats),
                new AlkaliChoice(Share.percent(naohShare), Share.percent(naohPurity), Share.percent(kohPurity)),
                Share.percent(superfat),
                target(target),
                liquids(liquids),
                additives(additives));
        assertThat(FormulaCheck.of(formula).all()).isEmpty();
        AlkaliBalance balance = AlkaliBalance.of(formula);
        assertThat(balance.naoh().grams()).as("NaOH").isCloseTo(naoh, within(TOLERANCE));
        assertThat(balance.koh().grams()).as("KOH").isCloseTo(koh, within(TOLERANCE));
        assertThat(balance.water().grams()).as("water").isCloseTo(water, within(TOLERANCE));
        assertThat(balance.liquidMass().grams()).as("liquid").isCloseTo(liquid, within(TOLERANCE));
        assertThat(balance.firstConcentration().inPercent()).as("first step").isCloseTo(firstStep, within(0.02));
        assertThat(Superfat.of(Weights.planned(formula), formula.alkali()).inPercent())
                .as("superfat as weighed")
                .isCloseTo(superfat, within(1e-9));
    }

    private static List<FatPortion> fats(String text) {
        List<FatPortion> fats = new ArrayList<>();
        for (String part : text.split("\\+")) {
            String[] words = part.trim().split(" ", 2);
            fats.add(new FatPortion(Catalogue.standard().fat(words[0]), MassNotation.read("fat", words[1], GRAMS)));
        }
        return fats;
    }

    private static List<LiquidPart> liquids(String text) {
        List<LiquidPart> parts = new ArrayList<>();
        for (String part : text.split("\\+")) {
            String[] words = part.trim().split(" ");
            AdditionStage joins = words.length > 2 ? AdditionStage.EMULSION : AdditionStage.LYE;
            parts.add(new LiquidPart(
                    Catalogue.standard().liquid(words[0]), Share.percent(Double.parseDouble(words[1])), LiquidState.LIQUID, joins));
        }
        return parts;
    }

    private static List<AdditivePortion> additives(String text) {
        if (text == null) {
            return List.of();
        }
        String[] words = text.trim().split(" ");
        return List.of(new AdditivePortion(
                Catalogue.standard().additive(words[0]), MassNotation.read("additive", words[1], GRAMS)));
    }

    private static LiquidTarget target(String text) {
        double value = Double.parseDouble(text.substring(2));
        return switch (text.charAt(0)) {
            case 'C' -> LiquidTarget.concentration(value / 100);
            case 'R' -> LiquidTarget.ratio(value);
            default -> LiquidTarget.ofFats(value / 100);
        };
    }
}
