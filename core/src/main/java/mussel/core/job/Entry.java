package mussel.core.job;

import java.time.Instant;

/**
 * One entry of the journal.
 *
 * @param seq its number, rising over the whole journal
 * @param job the job's number
 * @param at when it was made
 * @param by who made it
 * @param fact what it says
 */
public record Entry(long seq, int job, Instant at, String by, Fact fact) {}
