/**
 * Products as open JSON: {@link dev.oleander.plan.panel.file.ProductFile} is what stands in it,
 * with numbers as they were typed; {@link dev.oleander.plan.panel.file.ProductReader} works them
 * out.
 */
package dev.oleander.plan.panel.file;
