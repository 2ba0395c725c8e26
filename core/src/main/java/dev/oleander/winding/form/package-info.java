/**
 * What people say of a winding job, as it is kept and sent: mm and degrees. Out come the values the
 * computation works with, or sentences about what cannot be.
 */
package dev.oleander.winding.form;
