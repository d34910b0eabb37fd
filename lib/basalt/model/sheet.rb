# frozen_string_literal: true

module Basalt
  module Model
    # One drawing: a notation of a part of the model. +view+ keeps what is shown in a way of
    # its own there: labels hidden, parallel lines folded, the style of its layout. The
    # subject is the element that it opens.
    Sheet = Value.of(:id, :name, :notation_name, :number, :band, :revision, :status, :drawn_by, :dated, :subject_id, :view, :ordinal) do
      # The strata from coarse to fine.
      self::BANDS = %w[Context Concept Logical Physical Detail].freeze
      self::PARTS = %w[labels parallels pictures numbers signs].freeze

      def initialize(revision: "A", status: "draft", **rest)
        super(revision:, status:, **rest)
      end

      def labels_hidden? = view&.fetch("labels", nil) == true
      # @return [Boolean] whether it shows small pictures of what opens beneath, where its notation has room for them
      def pictures? = view&.fetch("pictures", nil) == true
      # @return [Boolean] whether it shows what was decided of what stands there
      def signs? = view&.fetch("signs", nil) == true
      def layout_style = view&.fetch("layout_style", nil)
      # @return [String, nil] the way it is drawn in, of those that its notation has
      def variant = view&.fetch("variant", nil)
      def folded? = view&.fetch("parallels", nil) == true

      # @return [Drawing::Notation] as this sheet has it
      def notation = Catalogue.notation(notation_name).shown(view)
    end
  end
end
