/** Data in and out: exports, imports with their preview, backups. What the commands and the window both use. */
package mussel.app.data;
