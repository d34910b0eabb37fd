# frozen_string_literal: true

# For tests of the core alone: nothing of the store or the application is loaded.
ENV["MT_NO_PLUGINS"] ||= "1"
require "bundler/setup"
require "minitest/autorun"
require_relative "../../lib/basalt"
require_relative "generated_network"

faces = { plain: "Archivo_400Regular", strong: "Archivo_600SemiBold", mono: "SplineSansMono_400Regular" }
Basalt::Drawing::Typefaces.use(
  faces.transform_values { |file| File.binread(File.expand_path("../../app/public/fonts/#{file}.ttf", __dir__)) }
)

module CoreHelper
  include Basalt

  def counter
    number = 0
    -> { (number += 1).to_s }
  end

  # @param tidy [Boolean, Symbol] whether it is laid out; +:by_hand+ as when a person asked for it
  # @return [Basalt::Model::WorkingSet] what the statements make
  def model(text, tidy: false)
    draft = Basalt::Change::Draft.new(Basalt::Model::WorkingSet.new, ids: counter)
    Basalt::Statements::Document.new(text).into(draft)
    draft.sheet_list.each { |sheet| Basalt::Drawing::Arranger.new(draft, sheet.id).tidy(by_hand: tidy == :by_hand) } if tidy
    Basalt::Model::WorkingSet.new.advance(draft.effect)
  end

  def reading(set) = Basalt::Statements::Unparser.new(set).project
  def findings(set) = Basalt::Checks::Runner.new(set).findings
  def ids_of(set) = findings(set).map(&:id)

  # Says one more statement on a sheet.
  def say(set, sheet_name, *lines)
    sheet = set.sheet_list.find { |candidate| candidate.name == sheet_name }
    draft = Basalt::Change::Draft.new(set, ids: -> { SecureRandom.uuid })
    lines.each { |line| Basalt::Statements::Line.take(line, Basalt::Statements::Context.new(draft, sheet_id: sheet&.id)) }
    draft
  end

  # Facts of a model without its ids, for comparing two.
  def facts(set)
    name = ->(id) do
      id &&
        [
          set.element(id).kind,
          set.element(id).noun,
          set.element(id).name,
          set.element(id).container_id && set.element(set.element(id).container_id).name
        ]
    end
    elements =
      set.elements.each.map do |e|
        [
          e.kind,
          e.name,
          name.(e.owner_id),
          name.(e.container_id),
          e.facts.except(*ORDER).sort,
          e.assumed,
          e.ends.map { |x| [x.role, name.(x.target_id), x.facts.sort] }
        ]
      end
    sheets =
      set.sheet_list.map do |s|
        [s.to_h.except(:id, :ordinal, :subject_id), name.(s.subject_id), set.things_on(s.id).map { |e| name.(e.id) }.sort_by(&:inspect)]
      end
    [set.project, elements.sort_by(&:inspect), sheets, order(set)]
  end

  # Keys by which rows are in order; what they say is the order.
  ORDER = %w[row lane].freeze

  def order(set)
    ordered = Model::Catalogue.kinds.values.select(&:ordered).map(&:name)
    set.sheet_list.flat_map do |sheet|
      here = (set.things_on(sheet.id) + set.relations_on(sheet.id)).select { |element| ordered.include?(element.kind) }
      here
        .group_by(&:kind)
        .sort
        .map { |kind, list| [sheet.name, kind, list.sort_by { |element| [Change::Reorder.key(element), element.ordinal] }.map(&:name)] }
    end
  end
end
