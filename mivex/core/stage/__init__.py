"""The test scene: geometry, camera, drawing."""
