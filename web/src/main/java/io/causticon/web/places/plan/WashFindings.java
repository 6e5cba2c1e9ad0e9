package io.causticon.web.places.plan;

import io.causticon.core.model.plan.BatchPlan;
import java.util.List;

/** What hands found here, in trials, about something that a plan has in it. */
public interface WashFindings {

    /** A sentence each, with how sure it is; empty where nobody compared any of it. */
    List<String> about(BatchPlan plan);
}
