package io.causticon.web.places.batch;

import io.causticon.core.model.said.vocabulary.FindingSearch;
import io.causticon.web.shared.DaemonThreads;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Has what makers may say indexed before the first of them types, without anybody waiting for it at the start. */
@Component
class WordsAtHand {

    @EventListener(ApplicationReadyEvent.class)
    void index() {
        DaemonThreads.named("indexes-words").newThread(FindingSearch::standard).start();
    }
}
