# frozen_string_literal: true

# For tests of the store and the application, on a real PostgreSQL named in DATABASE_URL.
ENV["MT_NO_PLUGINS"] ||= "1"
ENV["APP_ENV"] = "test"
require_relative "../../config/load"
require "minitest/autorun"
require "rack/attack"
require_relative "generated_network"
require_relative "sample"

url = ENV.fetch("DATABASE_URL") { abort "DATABASE_URL is not set; bin/test sets it" }
abort "The tests empty their database; its name has to end in _test, and this is #{url[%r{[^/]*\z}]}" unless url.match?(/_test(\?|\z)/)
Store::Database.connect(url)
Store::Database.migrate
require_relative "at_once"

module AppHelper
  def setup
    super
    Store::ProjectSession.clear
    Rack::Attack.cache.store&.clear
    Web::SheetRoutes::THUMBNAILS.clear
    ActiveRecord::Base.connection.execute("TRUNCATE projects, elements, ends, sheets, placements, journal, intakes, tasks CASCADE")
  end

  # @return [Store::Project] holding what the statements say, laid out
  def project(text = nil, name: "Tarnwater")
    Store::Project.open(name).tap do |project|
      next unless text

      Store::ProjectSession.for(project.id).open do |project_session|
        project_session.act(said: "began", by: "test") do |draft|
          Basalt::Statements::Document.new(text).into(draft)
          draft.sheet_list.each { |sheet| Basalt::Drawing::Arranger.new(draft, sheet.id).tidy(by_hand: true) }
        end
      end
    end
  end

  def demo = Sample.take { project(File.read(File.join(APPLICATION_ROOT, "demo/tarnwater.basalt"))) }
  def model_of(project) = Store::Snapshot.read(project.id)
  def sheet_of(project, name) = model_of(project).sheet_list.find { |sheet| sheet.name == name }

  # Rows of a set, to compare two.
  def rows(set)
    Basalt::Model::RowTypes.tables.to_h { |table| [table, set.table(table).each.sort_by(&:id).map(&:to_h)] }
  end
end
