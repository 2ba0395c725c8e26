/**
 * Products made of panels: kept as steps, shown with what is decided of each panel. Start at {@link
 * dev.oleander.web.product.Products}.
 */
package dev.oleander.web.product;
