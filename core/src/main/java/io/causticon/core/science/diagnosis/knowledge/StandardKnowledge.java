package io.causticon.core.science.diagnosis.knowledge;

import io.causticon.core.science.diagnosis.network.Knowledge;

/** All families together. */
public final class StandardKnowledge {

    private static final Knowledge ALL = Knowledge.builder()
            .include(new AlkaliKnowledge())
            .include(new SurfaceKnowledge())
            .include(new LiquorKnowledge())
            .include(new MixingKnowledge())
            .include(new SettingKnowledge())
            .include(new FeelKnowledge())
            .include(new LyeKnowledge())
            .include(new LookAlikeKnowledge())
            .include(new BatterKnowledge())
            .include(new HeatAndMouldKnowledge())
            .include(new CureKnowledge())
            .include(new UseKnowledge())
            .build();

    private StandardKnowledge() {}

    public static Knowledge all() {
        return ALL;
    }
}
