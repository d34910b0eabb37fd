# frozen_string_literal: true

module Web
  # What more than one page refuses, each a class that words it; see Basalt::Refusals for what the core does.
  module Refusals
    # An address of what is not there, or belongs to another project: nothing more is told of it.
    class NotFound < ActiveRecord::RecordNotFound
      def initialize(what) = super("no such #{what}")
    end

    # What a page's script sent is not what it should be.
    class Malformed < Basalt::Mistake
      def initialize(what) = super("#{what} could not be read")
    end

    # Steps of a derivation are taken, and none is ticked.
    class NothingTicked < Basalt::Mistake
      def initialize = super("Choose what is to be taken first")
    end
  end
end
