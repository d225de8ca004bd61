/** Phones and tablets on the local network: how one is let in, known again and sent away. */
package hightally.app.device;
