# frozen_string_literal: true

# Drawings are judged as the core judges its own.
Quality = Basalt::Layout::Quality
