package dev.oleander.work;

import dev.oleander.plan.bed.SetUp;

/** A set-up of a job with its plan. */
public record PlannedRun(SetUp setUp, Plan plan) {}
