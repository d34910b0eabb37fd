# frozen_string_literal: true

require_relative "../support/core_helper"
require "open3"
require "tmpdir"
require "fileutils"

# The core stands by itself: no database, no web, and no family that another needs.
class AloneTest < Minitest::Test
  LIB = File.expand_path("../../lib", __dir__)

  def ruby(code) = Open3.capture2e("ruby", "-I#{LIB}", "-e", "require 'bundler/setup'; require 'basalt'; #{code}")

  def test_the_core_loads_without_store_or_application
    output, status =
      ruby(
        "Basalt::LOADER.eager_load; abort 'loaded too much' if %i[ActiveRecord Sinatra PG Vips].any? { |name| " \
        "Object.const_defined?(name) }; print Basalt::Families.names.join(' ')"
      )
    assert status.success?, output
    assert_equal "annotation brief cloud data decisions journeys linking network process software", output
  end

  def test_a_family_can_be_taken_away
    { "data" => 17, "network" => 13, "process" => 16, "brief" => 18, "linking" => 19, "usage" => 19, "software" => 14,
      "cloud" => 18, "journeys" => 19, "decisions" => 18 }.each do |gone, left|
      Dir.mktmpdir do |folder|
        FileUtils.cp_r(File.join(LIB, "."), folder)
        FileUtils.rm_rf(File.join(folder, "basalt", gone))
        code = "Basalt::LOADER.eager_load; print Basalt::Model::Catalogue.notations.length, Basalt::Statements::Grammar.forms.any?"
        output, status = Open3.capture2e("ruby", "-I#{folder}", "-e", "require 'bundler/setup'; require 'basalt'; #{code}")
        assert status.success?, output
        assert_equal "#{left}true", output
      end
    end
  end

  FAMILIES = "Network|Cloud|Data|Annotation|Brief|Process|Usage|Software|Journeys|Decisions".freeze

  def test_the_base_names_no_family
    base = Dir["#{LIB}/basalt/{*.rb,{model,change,statements,checks,drawing,layout,formats,addresses,graphs}/**/*.rb}"]
    named =
      base.select do |file|
        File.read(file).match?(
          /\b(#{FAMILIES})::|\bBasalt::(#{FAMILIES})\b/
        )
      end
    assert_empty named
  end
end
