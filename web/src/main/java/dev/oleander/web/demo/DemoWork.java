package dev.oleander.web.demo;

import dev.oleander.web.account.SignedIn;

/** Demo jobs of one kind of work, which its own part of the application knows. */
public interface DemoWork {

    /**
     * @param by a programmer
     * @param other another one, who leads
     */
    void make(DemoJobs jobs, SignedIn by, SignedIn other);
}
