"""Particles: emission, life, forces, facing."""
