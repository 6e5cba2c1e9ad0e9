package io.causticon.web.shared;

/** Lines were taken out of logs, which otherwise only grow. Told within the transaction that does so. */
public record LogsShrank() {}
