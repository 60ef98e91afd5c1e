export const databaseName = 'even_watt'
/** What the application works as: the owner of its own database, and no superuser. */
export const role = 'even_watt_app'
