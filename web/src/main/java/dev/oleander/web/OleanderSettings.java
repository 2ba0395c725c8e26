package dev.oleander.web;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.util.unit.DataSize;

/**
 * Settings of this installation.
 *
 * @param demo whether demo accounts and jobs are made on an empty database
 * @param firstPassword password of the first account outside demo mode; empty: none is made
 * @param mostCopies limit of the quantity of a job
 * @param patience how long a page waits for a plan before it shows that one is being made
 * @param crowdPatience how long it waits when many plans wait for their turn
 * @param proofPatience how long it waits for the proof when the plan is there, so that it need not
 *     change twice
 * @param longPlan stops from which a plan is long work, done by any node
 * @param longImport size from which reading a file that is dropped on the board is long work
 * @param longestSession how long a session lasts at most, however busy it is
 * @param publicUrl address under which people reach Oleander, for links on paper
 */
@ConfigurationProperties("oleander")
public record OleanderSettings(
        boolean demo,
        String firstPassword,
        int mostCopies,
        Duration patience,
        Duration crowdPatience,
        Duration proofPatience,
        int longPlan,
        DataSize longImport,
        Duration longestSession,
        String publicUrl) {}
