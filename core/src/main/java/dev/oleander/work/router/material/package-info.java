/** What rotating tools take away of the stock, by their true form. */
package dev.oleander.work.router.material;
