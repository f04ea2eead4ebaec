# frozen_string_literal: true

require_relative "../app_helper"

# The database as a source of features: the contract that the core's sources pass (spec/core/contracts_spec.rb).
RSpec.describe App::FeatureSource do
  before { empty_database }

  let(:book) { kept_book }
  let(:source) { described_class.new(book.layers) }
  let(:layer_id) { "dams" }

  it_behaves_like "a source of features"
end
