/**
 * What people decide about cutting a sheet: for the job ({@link
 * dev.oleander.work.sheet.choice.PlanChoices}) and for a stop ({@link
 * dev.oleander.work.sheet.choice.StopChoice}).
 */
package dev.oleander.work.sheet.choice;
