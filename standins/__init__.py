"""Small simulated devices that speak the line protocol of docs/devices.md."""
