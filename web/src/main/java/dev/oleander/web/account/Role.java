package dev.oleander.web.account;

import java.util.Locale;

/** What a person may do. */
public enum Role {
    /** makes and releases jobs */
    PROGRAMMER,
    /** sees everything and takes released programs */
    OPERATOR,
    /** what a programmer may, and keeps machines and data right */
    LEAD;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Whether this role may change jobs and release programs. */
    public boolean edits() {
        return this != OPERATOR;
    }
}
