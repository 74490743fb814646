package org.eskiz.server.transfer;

/** What a file is made of, in the order in which it is taken. */
enum PartKind {
    CABLE_TYPE,
    CONNECTOR,
    PIECE,
    KIT,
    TEST,
    PLAN,
    SITE,
    DEVICE,
    SETTINGS
}
