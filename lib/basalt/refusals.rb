# frozen_string_literal: true

module Basalt
  # What more than one rule refuses, each a class that words it. What only one rule refuses is said where the rule is.
  module Refusals
    # What an act is about went away meanwhile.
    class Gone < Change::Conflict
      def initialize(what = "it") = super("#{what} is no longer there")
    end

    # It is there, and the sheet shows it no more.
    class GoneFromSheet < Change::Conflict
      def initialize(what = "it") = super("#{what} is no longer on the sheet")
    end

    # Somebody else set it to something else meanwhile.
    class AlteredSince < Change::Conflict
      def initialize(what) = super("#{what} has been altered since")
    end

    # The sheet does not show what is to be altered on it.
    class NotOnSheet < Mistake
      def initialize(what = "it") = super("#{what} does not stand on this sheet")
    end

    # Another has that name.
    class NameTaken < Mistake
      def initialize(noun, name) = super("there is a #{noun} called “#{Model::Names.short(name, 80)}” already")
    end

    # Several have that name, and it is not said which is meant.
    class NameAmbiguous < Mistake
      # @param told [String] how they can be told apart
      def initialize(count, nouns, name, told = nil)
        super("there are #{count} #{nouns} called “#{name}”#{": #{told}" if told}")
      end
    end

    # A relation does not end at things of that kind.
    class WrongEnd < Mistake
      # @param target [Model::Element]
      def initialize(kind, target) = super("a #{kind} cannot end at #{target.name}, a #{target.noun}")
    end

    # Nothing of that kind is in the other.
    class NotWithin < Mistake
      def initialize(element, container)
        super("#{element.name}, a #{element.noun}, cannot be in #{container.name}, a #{container.noun}")
      end
    end

    # A decision without a reason.
    class ReasonMissing < Mistake
      def initialize = super("Say why, so that others can follow")
    end

    # More than is read.
    class TooLarge < Unreadable
      # @param most [Integer] bytes
      def initialize(what, most) = super("#{what} is larger than #{most / 1_000_000} MB")
    end

    # Bytes that are no text.
    class Binary < Unreadable
      # @param wanted [String] what it should be
      def initialize(wanted = "text") = super("this is a binary file, not #{wanted}")
    end
  end
end
