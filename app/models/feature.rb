# frozen_string_literal: true

module App
  # A feature as it came: its shape in its own reference, its attributes. What is drawn of it lies in a FeatureBlock.
  class Feature < ActiveRecord::Base
    self.primary_key = %i[layer_id identity]

    belongs_to :layer

    attribute :properties, :json
  end
end
