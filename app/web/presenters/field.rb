# frozen_string_literal: true

module Web
  module Presenters
    # One fact in the margin, and how it is set: +rest+ is the address on the sheet, +sent+ what goes with the value. With
    # +options+, pairs of a value and its words, it is chosen; otherwise it is typed, +list+ naming the suggestions, or in as many +rows+ as
    # there are.
    Field =
      Basalt::Value.of(:id, :label, :value, :rest, :sent, :options, :mono, :list, :most, :name, :rows) do
        def self.typed(id, label, value, rest, sent, mono: true, list: nil, most: 2000, name: "value") =
          new(id:, label:, value:, rest:, sent:, mono:, list:, most:, name:)

        # A text of several lines.
        def self.written(id, label, value, rest, sent, name: "value", most: Basalt::Model::FieldTypes::MOST_OF_LINES) =
          new(id:, label:, value:, rest:, sent:, mono: true, most:, name:, rows: Field.rows(value.to_s))

        # A line of more than 36 characters goes on in the next row of the margin.
        def self.rows(text) = text.each_line.sum { |line| (line.length / 36.0).ceil.clamp(1, 99) }.clamp(1, 18)

        def self.chosen(id, label, value, options, rest, sent, name: "value") =
          new(id:, label:, value: value.to_s, options:, rest:, sent:, name:)
      end
  end
end
