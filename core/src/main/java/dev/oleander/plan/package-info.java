/**
 * What all plans share: a {@link dev.oleander.plan.Run} of stops on a bed, what people decided
 * about it ({@link dev.oleander.plan.Choices}, {@link dev.oleander.plan.Recipe}, {@link
 * dev.oleander.plan.RunChoices}) and what of it must come before what ({@link
 * dev.oleander.plan.RunRules}). The planners are those of the kinds of work, below {@code work}.
 */
package dev.oleander.plan;
