package io.causticon.web.batch;

/**
 * A batch's log grew or was amended.
 *
 * @param batch which
 */
public record BatchLogged(BatchId batch) {}
