/**
 * Pages, HTTP interface and persistence, packaged by feature: {@code account} signs people in,
 * {@code job} keeps the document of a job and computes what follows from it, {@code board} shows
 * all jobs, {@code bench} is the screen of one job with its five stages, {@code release} keeps
 * proven programs, {@code library} shows machines and their data, {@code api} answers the same as
 * JSON, {@code demo} fills an empty database.
 */
package dev.oleander.web;
