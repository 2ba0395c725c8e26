/** Recipes of the shop. */
package dev.oleander.web.job.recipe;
