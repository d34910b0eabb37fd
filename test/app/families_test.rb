# frozen_string_literal: true

require_relative "../support/app_helper"
require "fileutils"
require "open3"
require "tmpdir"

# A family is a folder in the core and a folder in the application; nothing else of either knows it.
class FamiliesTest < Minitest::Test
  include AppHelper

  NAMES = Basalt::Families.names
  NAMED = /\b(?:Basalt|Families|Web::Families)::(?:#{[*NAMES, "usage"].map(&:capitalize).join("|")})\b/
  COPIED = %w[lib app store config demo].freeze

  def test_application_and_store_name_no_family
    files = Dir[File.join(APPLICATION_ROOT, "{store,app}/**/*.{rb,erb}")].reject { |file| file.include?("/app/families/") }
    assert_operator files.length, :>, 100
    assert_empty(
      files
        .to_h { |file| [file.delete_prefix(APPLICATION_ROOT), File.read(file).scan(NAMED).length] }
        .select { |_, count| count.positive? }
    )
  end

  def notations(of) = Basalt.const_get(of.capitalize)::Family.notations.map(&:name)

  # In turn each family is taken from the core, and from the application; the rest starts and does its work.
  def test_without_any_one_family_the_rest_goes_on
    all = Basalt::Model::Catalogue.notations.keys
    NAMES.each { |gone| assert_equal (all - notations(gone)).sort.join(", "), left_without("lib/basalt/#{gone}"), gone }
    Dir[File.join(APPLICATION_ROOT, "app/families/*")].each do |folder|
      assert_equal all.sort.join(", "), left_without("app/families/#{File.basename(folder)}")
    end
  end

  def left_without(folder)
    Dir.mktmpdir do |copy|
      COPIED.each { |part| FileUtils.cp_r(File.join(APPLICATION_ROOT, part), copy) }
      FileUtils.rm_rf(File.join(copy, folder))
      said, status = Open3.capture2e("ruby", File.expand_path("../support/remaining.rb", __dir__), chdir: copy)
      assert status.success?, "without #{folder}: #{said.lines.first(6).join}"
      said.lines.last.strip
    end
  end
end
