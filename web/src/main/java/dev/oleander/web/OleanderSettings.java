package dev.oleander.web;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Settings of this installation.
 *
 * @param demo whether demo accounts and jobs are made on an empty database
 * @param firstPassword password of the first account outside demo mode; empty: none is made
 * @param mostCopies limit of the quantity of a job
 */
@ConfigurationProperties("oleander")
public record OleanderSettings(boolean demo, String firstPassword, int mostCopies) {}
