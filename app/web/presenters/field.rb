# frozen_string_literal: true

module Web
  module Presenters
    # One fact in the margin, and how it is set: +rest+ is the address on the sheet, +sent+ what goes with the value. With
    # +options+, pairs of a value and its words, it is chosen; otherwise it is typed, +list+ naming the suggestions.
    Field =
      Basalt::Value.of(:id, :label, :value, :rest, :sent, :options, :mono, :list, :most, :name) do
        def self.typed(id, label, value, rest, sent, mono: true, list: nil, most: 2000, name: "value") =
          new(id:, label:, value:, rest:, sent:, mono:, list:, most:, name:)

        def self.chosen(id, label, value, options, rest, sent, name: "value") =
          new(id:, label:, value: value.to_s, options:, rest:, sent:, name:)
      end
  end
end
