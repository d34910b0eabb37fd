# frozen_string_literal: true

module Basalt
  module Model
    # One fact that a kind can carry: its name, type and the values allowed.
    # +type+ is one of +:text+, +:word+, +:integer+, +:flag+, +:choice+, +:pattern+ (one of the
    # choices, or what the range, an expression, matches), +:address+, +:prefix+, +:read+,
    # +:lines+ (a text of several lines).
    # An +internal+ one is kept by acts of its own, and is in no form. An +own+ one says where just this
    # element comes from: a copy does not get it.
    # Elements are found by the value of an +indexed+ one. What a +:read+ one keeps is what its +reader+ makes of a text.
    # +along+ is called with the draft, the element as it was and as it is whenever one becomes another, and alters what has to
    # follow.
    # One that is +on+ certain notations is shown on sheets of these, and elsewhere only beside an element that has it.
    Field = Value.of(:name, :type, :label, :choices, :range, :internal, :own, :indexed, :reader, :along, :on) do
      # Takes a value from a person or a file.
      #
      # @param value [Object, nil] nil clears the fact
      # @return [String, Integer, true, nil] the value as the model keeps it
      # @raise [BadFact] saying what is wrong with it
      def read(value)
        text = value.to_s.strip
        return nil if text.empty? || value == false

        FieldTypes::ALL.fetch(type).call(self, text)
      end

      def title = label || name

      # @param notation [Drawing::Notation]
      def on?(notation) = on.nil? || on.include?(notation.name)
    end
  end
end
